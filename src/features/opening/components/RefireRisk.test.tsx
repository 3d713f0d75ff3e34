import type { RefireRecord } from '@/core/looks';
import { screen, show } from '../../../../test-support/dom';

const { RefireRisk } = await import('./RefireRisk');

const record = (rest: Partial<RefireRecord> = {}): RefireRecord => ({
  sign: 'pit',
  stack: null,
  pieces: 9,
  firings: 4,
  healed: 5,
  less: 0,
  same: 2,
  worse: 2,
  ...rest,
});
const risk = (rest: object = {}) =>
  show(<RefireRisk faults={['pit']} stacks={['tarn']} records={[]} came={[]} {...rest} />);
const lines = () => screen.getByRole('group', { name: 'What a refire did here' }).textContent;

test('what was done to these coats comes first, then to all, then what came new', () => {
  risk({
    records: [record(), record({ stack: 'tarn', pieces: 3, firings: 3, healed: 1, same: 2, worse: 0 })],
    came: [{ sign: 'bloat', pieces: 2, of: 14 }],
  });
  expect(lines()).toMatch(
    /On the same coats, pits: of 3 refired.*Here, pits: of 9 refired in 4 firings 5 healed.*2 of 14 refires brought bloating/,
  );
});

test('where all of them were on these coats it is said once; where nothing is known, that is said', () => {
  const { unmount } = risk({ records: [record(), record({ stack: 'tarn' })] });
  expect(lines()).not.toContain('Here, ');
  unmount();
  risk();
  expect(lines()).toMatch(/^Nobody has refired anything here yet/);
});

test('a first refire of this fault claims nothing; the old caution stands, and grinding has its own', () => {
  const { unmount } = risk({ records: [record({ sign: 'crawling' })] });
  expect(lines()).toMatch(/Of these faults nothing was refired here yet/);
  expect(lines()).toMatch(/slow to red heat/);
  expect(lines()).not.toMatch(/Grind wet/);
  unmount();
  risk({ todo: 'ground and cleaned' });
  expect(lines()).toMatch(/Grind wet, with eye protection/);
});
