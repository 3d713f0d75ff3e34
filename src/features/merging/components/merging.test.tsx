import { person, press, router, screen, server, show, within } from '../../../../test-support/dom';

const { MergeChoice } = await import('./MergeChoice');
const { MergeAct, TakeApart } = await import('./MergeActs');
const { PreviewWords } = await import('./PreviewWords');

const uuid = (n: number): string => `0192c7cd-5baa-71a4-a619-90db87e8477${n}`;
const entries = [
  { id: uuid(1), name: 'Pitch' },
  { id: uuid(2), name: 'Pich' },
];

test('what is chosen stands in the address, and nothing is merged with itself', async () => {
  const hand = person();
  const asked = { kind: 'coating' as const, from: uuid(2), into: '', version: '' };
  show(<MergeChoice asked={asked} entries={entries} versions={[]} />);
  await hand.click(screen.getByLabelText('is really'));
  expect(within(screen.getByRole('listbox')).queryByText('Pich')).toBeNull();
  await hand.click(within(screen.getByRole('listbox')).getByText('Pitch'));
  expect(router.replace).toHaveBeenCalledWith(`/studio/merge?kind=coating&from=${uuid(2)}&into=${uuid(1)}`, {
    scroll: false,
  });
  await press(hand, 'People');
  expect(router.replace).toHaveBeenLastCalledWith('/studio/merge?kind=person', { scroll: false });
});

test('what it changes is said in sentences: led over, renumbered, counted otherwise', () => {
  show(
    <PreviewWords
      from="Marta 2"
      into="Marta"
      preview={{
        refused: null,
        moved: [
          { noun: 'piece', n: 41 },
          { noun: 'entry of upkeep', n: 2 },
        ],
        renumbered: [
          { was: 1, becomes: 15 },
          { was: 2, becomes: 16 },
        ],
        cells: {
          joined: [{ name: 'Tarn on Peat', was: 'seen once', becomes: 'repeated' }],
          own: 3,
        },
      }}
    />,
  );
  expect(screen.getByText(/Led over to Marta: 41 pieces, 2 entries of upkeep\./)).toBeTruthy();
  expect(screen.getByText('Its firings 1 to 2 become Marta 15 to 16.')).toBeTruthy();
  expect(screen.getByText(/3 cells of the chart will stand under Marta\. 1 cell will/)).toBeTruthy();
  expect(screen.getByText('Tarn on Peat: seen once → repeated')).toBeTruthy();
});

test('a merger that may not be says why, and one that is too large to rehearse says so', () => {
  const nothing = { moved: [], renumbered: [], cells: null };
  const { unmount } = show(
    <PreviewWords from="A" into="B" preview={{ ...nothing, refused: 'No technician would be left.' }} />,
  );
  expect(screen.getByText('No technician would be left.')).toBeTruthy();
  unmount();
  show(<PreviewWords from="A" into="B" preview={{ ...nothing, refused: null }} />);
  expect(screen.getByText(/too much to work out beforehand/)).toBeTruthy();
  expect(screen.getByText(/Nothing is recorded under A/)).toBeTruthy();
});

test('merged in one act with its undo, and taken apart from the list', async () => {
  const sent = server(() => ({ ok: true, data: { mergerId: uuid(9) } }));
  const hand = person();
  const wanted = { kind: 'body' as const, fromId: uuid(2), intoId: uuid(1), versionId: null };
  show(
    <>
      <MergeAct wanted={wanted} words={{ act: 'Pich is Pitch', done: 'Done' }} />
      <TakeApart mergerId={uuid(8)} name="Pich" />
    </>,
  );
  await press(hand, 'Pich is Pitch');
  await screen.findByText('Done');
  expect(sent[0]!.body.input).toEqual(wanted);
  await press(hand, 'Undo');
  expect(sent[1]!.body.input).toEqual({ mergerId: uuid(9) });
  await press(hand, 'Take apart again');
  await screen.findByText('Pich stands by itself again');
  expect(sent[2]!.body.input).toEqual({ mergerId: uuid(8) });
});
