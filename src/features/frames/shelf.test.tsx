import { fireEvent, waitFor } from '@testing-library/react';
import { person, screen, server, show } from '../../../test-support/dom';
import { lookerSees, picturesAre } from '../../../test-support/looker';

const tile = (left: number) => ({
  kind: 'corners' as const,
  corners: [
    { x: left, y: 0.8 },
    { x: left + 0.1, y: 0.8 },
    { x: left + 0.1, y: 0.2 },
    { x: left, y: 0.2 },
  ],
});
let lies: ReturnType<typeof tile>[] = [];
lookerSees(({ faces }) => {
  if (faces !== undefined) throw new Error('a shelf holds any number');
  return {
    seen: {
      frames: lies.map((shape) => ({ shape, edge: 1 })),
      why: null,
      grey: { found: null, why: 'none' },
    } as never,
  };
});
picturesAre({ width: 4, height: 3 });

type Kept = { pieces: { pieceId: string; frames: { shape: ReturnType<typeof tile> }[] }[] };

const { ShelfPicture } = await import('./components/ShelfPicture');

const id = (n: number) => `0192c7cd-5baa-71a4-a619-90db87e8100${n}`;
const PIECES = [1, 2, 3].map((n) => ({ id: id(n), code: `K3RV${n}`, shelf: n === 3 ? 2 : 1, faces: [1] }));
const open = () =>
  fireEvent.change(screen.getByLabelText('Picture of the shelf'), {
    target: { files: [new File(['x'], 'shelf.jpg')] },
  });
const numbers = () =>
  screen.getAllByRole('button', { name: /^Number \d+, / }).map((one) => one.getAttribute('aria-label'));

test('what lies there is given in the order of the plan, put right by two touches, and kept in one act with its undo', async () => {
  lies = [tile(0.1), tile(0.3), tile(0.5)];
  const sent = server(() => ({
    ok: true,
    data: { photoIds: [id(1), id(2)], added: [id(1), id(2)], measured: 0 },
  }));
  const hand = person();
  show(<ShelfPicture firingId={id(9)} pieces={PIECES} card={null} />);
  open();
  await screen.findByText(/^3 found, given in the order of the plan/);
  expect(numbers()).toEqual(['Number 1, K3RV1', 'Number 2, K3RV2', 'Number 3, K3RV3']);
  // The first is the second, and the third is none of them.
  await hand.click(screen.getByRole('button', { name: 'K3RV2', pressed: false }));
  expect(numbers()).toEqual(['Number 1, K3RV2', 'Number 2, K3RV1', 'Number 3, K3RV3']);
  await hand.click(screen.getByRole('button', { name: 'Number 3, K3RV3' }));
  await hand.click(screen.getByRole('button', { name: 'none of them' }));
  await hand.click(screen.getByRole('button', { name: 'Keep for 2 pieces' }));
  await screen.findByText(/2 pieces have this picture, 0 measured/);
  const left = ({ frames }: Kept['pieces'][number]): number => frames[0]!.shape.corners[0]!.x;
  expect((sent[0]!.body.input as Kept).pieces.map((one) => [one.pieceId, left(one)])).toEqual([
    [id(2), 0.1],
    [id(1), 0.3],
  ]);
  await waitFor(() => expect(screen.queryByAltText('The shelf')).toBeNull());
  await screen.findByRole('button', { name: 'Undo' });
});

test('one shelf at a time; nothing found is said with what to do; a refusal keeps all that was said', async () => {
  lies = [tile(0.1), tile(0.3)];
  server(() => ({
    ok: false,
    problem: { code: 'refused', message: 'One of these pieces was not in that firing.' },
  }));
  const hand = person();
  show(<ShelfPicture firingId={id(9)} pieces={PIECES} card={[50, 90]} />);
  open();
  await screen.findByText(/No grey card found/);
  await hand.click(screen.getByRole('combobox', { name: 'Shelf' }));
  await hand.click(screen.getByRole('option', { name: '2' }));
  expect(numbers()).toEqual(['Number 1, K3RV3', 'Number 2, none of them']);
  await hand.click(screen.getByRole('button', { name: 'Keep for 1 piece' }));
  await screen.findByText('One of these pieces was not in that firing.');
  expect(numbers()[0]).toBe('Number 1, K3RV3');
  lies = [];
  open();
  await screen.findByText(/^Nothing stands out from its ground here/);
});
