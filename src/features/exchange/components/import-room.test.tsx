/** A table that is read first and brought in then: what is one act, and what is another. */
import { fireEvent, waitFor } from '@testing-library/react';
import { named, person, press, screen, server, show } from '../../../../test-support/dom';
import type { ImportPlan } from '../plan';

const { ImportRoom } = await import('./ImportRoom');

const PLAN: ImportPlan = {
  header: ['body'],
  columns: ['body'],
  notices: [],
  written: [],
  rows: [],
  bodies: [],
  coatings: [],
  kilns: [],
  rowsWithoutKiln: 0,
  rowsWithoutMethod: 0,
  rowsWithCone: 0,
  known: { bodies: [], coatings: [], kilns: [] },
  counts: {
    add: 3,
    refused: 1,
    doubtful: 0,
    likely: 0,
    lost: 0,
    came: 0,
    maybe: 0,
    unknownCone: 0,
    unknownAtmosphere: 0,
    firings: 1,
  },
  open: [],
};
const MADE = {
  lotId: '01a21c4a-ddf1-7100-a12e-5cba80dc409e',
  coatingIds: [],
  pieces: 3,
  firings: 1,
  bodies: 0,
  coatings: 0,
  kilns: 0,
};
const choose = (name: string) =>
  fireEvent.change(named('Choose a CSV file'), {
    target: { files: [new File(['body\nPeat'], name, { lastModified: 1 })] },
  });

test('a file stays one act however it is read, so that a lost answer doubles nothing; another file is another', async () => {
  let answer: object = { code: 'offline', message: 'The answer was lost.' };
  const acts = server(({ path }) =>
    path === '/api/import/plan' ? { ok: true, data: PLAN } : { ok: false, problem: answer },
  );
  const brought = () => acts.filter(({ path }) => path !== '/api/import/plan').map(({ body }) => body.id);
  const hand = person();
  const bring = async (): Promise<void> => {
    const button = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Bring in 3 rows' });
    await waitFor(() => expect(button().disabled).toBe(false));
    await hand.click(button());
  };
  const shown = show(<ImportRoom />);
  choose('one.csv');
  await screen.findByText(/3 of 0 rows can be taken/);
  await bring();
  await screen.findByText('The answer was lost.');
  await hand.click(screen.getByRole('checkbox', { name: 'Leave 1 refused row out' }));
  await waitFor(() => expect(screen.queryByText('The answer was lost.')).toBeNull());
  await bring();
  await waitFor(() => expect(brought()).toHaveLength(2));
  choose('two.csv');
  await waitFor(() => expect(screen.queryByText('The answer was lost.')).toBeNull());
  await bring();
  await waitFor(() => expect(brought()).toHaveLength(3));
  const [first, again, other] = brought();
  expect([first === again, again === other]).toEqual([true, false]);
  shown.unmount();
  // The page was left; the same file is the same act, and what it brought in is told.
  show(<ImportRoom />);
  choose('two.csv');
  answer = { code: 'arrived', message: 'It did arrive.', details: MADE };
  await bring();
  await screen.findByText('On record: 3 pieces');
  expect(screen.getByText('It did arrive.')).toBeTruthy();
  expect(brought()[3]).toBe(other);
});

test('rows that came in before stay out unless they are wanted again, and what was brought in is taken back as one', async () => {
  const plan = (again: boolean) => ({
    ...PLAN,
    counts: { ...PLAN.counts, refused: 0, came: 2, add: again ? 5 : 3 },
  });
  let asked = 0;
  const acts = server(({ path }) =>
    path === '/api/import/plan'
      ? { ok: true, data: plan(asked++ > 0) }
      : { ok: true, data: path.endsWith('exchange.away') ? null : MADE },
  );
  const hand = person();
  show(<ImportRoom />);
  choose('longer.csv');
  await screen.findByText(/2 came in before and stay out/);
  await hand.click(screen.getByRole('checkbox', { name: 'Also bring in the 2 rows that came in before' }));
  await screen.findByRole('button', { name: 'Bring in 5 rows' });
  expect(screen.queryByText(/stay out/)).toBeNull();
  await press(hand, 'Bring in 5 rows');
  await screen.findByText('On record: 3 pieces');
  expect(acts.at(-1)!.body.input).toEqual({ again: true });
  await press(hand, 'Take it back');
  await waitFor(() => expect(screen.queryByText('On record: 3 pieces')).toBeNull());
  expect(acts.at(-1)!.body.input).toEqual({ lotId: MADE.lotId, coatingIds: [], binned: true });
  await screen.findByText('3 pieces taken back: they are in the bin');
  await press(hand, 'Undo');
  await waitFor(() => expect(acts.at(-1)!.body.input).toMatchObject({ binned: false }));
});

test('of a file that cannot be read nothing is shown but why, and not what an earlier one held', async () => {
  let answer: object = { ok: true, data: PLAN };
  server(() => answer);
  show(<ImportRoom />);
  choose('good.csv');
  await screen.findByText(/3 of 0 rows can be taken/);
  answer = { ok: false, problem: { code: 'invalid', message: 'No header line was found.' } };
  choose('picture.png');
  await screen.findByText('No header line was found.');
  expect(screen.queryByText(/rows can be taken/)).toBeNull();
  expect(screen.queryByRole('button', { name: /^Bring in/ })).toBeNull();
});
