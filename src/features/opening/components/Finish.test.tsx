import { person, press, screen, show } from '../../../../test-support/dom';

const { Finish } = await import('./Finish');

const tally = { written: 3, all: 3, missing: [], grind: [], tell: [], refire: [], verdicts: [] };
const finish = (rest: object = {}) => {
  const said: (boolean | 'cones')[] = [];
  show(
    <Finish
      tally={tally}
      title="Marta 33"
      writtenUp={false}
      waiting={0}
      unread={0}
      busy={false}
      problem={null}
      onFinish={(done) => said.push(done)}
      onCones={() => said.push('cones')}
      onPick={() => undefined}
      {...rest}
    />,
  );
  return said;
};

test('unread cones are asked about once, with the way to them, and then it closes', async () => {
  const hand = person();
  const said = finish({ unread: 6 });
  await press(hand, 'The opening is written up');
  expect(said).toEqual([]);
  expect(screen.getByRole('note').textContent).toMatch(/6 witness cones are not read/);
  await press(hand, 'Read the cones');
  await press(hand, 'The opening is written up');
  expect(said).toEqual(['cones', true]);
});

test('with cones read it closes at once; what was closed is opened again without a word', async () => {
  const hand = person();
  const said = finish();
  await press(hand, 'The opening is written up');
  expect(said).toEqual([true]);
});

test('what glaze ran onto is named with its caution', () => {
  finish({ tally: { ...tally, grind: [2, 3] } });
  expect(screen.getByText('2, 3', { exact: false })).toBeTruthy();
  expect(screen.getByText(/eyes and lungs covered/)).toBeTruthy();
});

test('what was decided is counted, and what to write to the owners can be taken along', async () => {
  const hand = person();
  const written: string[] = [];
  Object.defineProperty(navigator, 'clipboard', { configurable: true, value: { writeText: (text: string) => Promise.resolve(void written.push(text)) } }); // prettier-ignore
  const tell = [{ owner: 'Kit', codes: ['A7CFK', 'FNY3R'] }];
  finish({ tally: { ...tally, tell, verdicts: [{ verdict: 'keep', n: 2 }, { verdict: 'refire', n: 1 }] } }); // prettier-ignore
  expect(screen.getByText('2 keep, 1 refire', { exact: false })).toBeTruthy();
  await press(hand, 'Copy the words to their owners');
  expect(written).toEqual(['Kit: A7CFK, FNY3R came out of Marta 33 and can be collected.']);
  expect(screen.getByRole('button', { name: 'Copied' })).toBeTruthy();
});

test('where the browser lends no clipboard, the words stand there to be marked', async () => {
  const hand = person();
  Object.defineProperty(navigator, 'clipboard', { configurable: true, value: undefined });
  finish({ tally: { ...tally, tell: [{ owner: 'Kit', codes: ['A7CFK'] }] } });
  await press(hand, 'Copy the words to their owners');
  expect(screen.getByText(/^Kit: A7CFK came out of Marta 33/)).toBeTruthy();
});
