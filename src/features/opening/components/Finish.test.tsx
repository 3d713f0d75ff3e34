import { person, press, screen, show } from '../../../../test-support/dom';

const { Finish } = await import('./Finish');

const tally = {
  written: 3,
  all: 3,
  joined: 0,
  missing: [],
  broken: [],
  grind: [],
  refire: [],
  verdicts: [],
};
const finish = (rest: object = {}) => {
  const said: (boolean | 'cones')[] = [];
  show(
    <Finish
      tally={tally}
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

test('what was decided is counted', () => {
  finish({
    tally: {
      ...tally,
      verdicts: [
        { verdict: 'keep', n: 2 },
        { verdict: 'refire', n: 1 },
      ],
    },
  });
  expect(screen.getByText('2 keep, 1 refire', { exact: false })).toBeTruthy();
});

test('planned, found, still to come, broken: counted from what was said', () => {
  finish({
    tally: { ...tally, all: 5, joined: 1, missing: ['K3RVT', 'PXTHW'], broken: ['A7CFK'] },
  });
  expect(screen.getByText('Planned').closest('p')!.textContent).toBe(
    'Planned 4, found 3 (1 on no list), still to come 2, broken 1: A7CFK',
  );
});
