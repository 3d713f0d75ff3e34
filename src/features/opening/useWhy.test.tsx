import { person, press, screen, show } from '../../../test-support/dom';
import type { Item } from '@/platform/sender/store';
import type { ToKeep } from '@/platform/sender/sender';
import type { RoomPiece } from './room';
import { useWhy } from './useWhy';

const { WhyHere } = await import('./components/WhyHere');

const PIECE = { id: '0192c7cd-5baa-71a4-a619-90db87e84771', code: 'PXTHW' } as RoomPiece;
const FIRING = '0192c7cd-5baa-71a4-a619-90db87e84772';

function Hand({
  kept = [],
  faults,
  waiting,
  known = {},
}: {
  kept?: ToKeep[];
  faults: string[];
  waiting: boolean;
  known?: Record<string, string>;
}) {
  const sender = { add: (item: ToKeep) => Promise.resolve(void kept.push(item)) };
  const why = useWhy(sender, kept as unknown as Item[], FIRING, known);
  return (
    <WhyHere
      caseId={why.caseOf(PIECE.id)}
      waiting={waiting}
      faults={faults}
      onAsk={() => void why.ask(PIECE, faults)}
    />
  );
}

test('a fault in hand is asked about by way of the sender; its case has its address from the start', async () => {
  const kept: ToKeep[] = [];
  const hand = person();
  const { rerender } = show(<Hand kept={kept} faults={['pit', 'off-colour']} waiting />);
  await press(hand, 'Why?');
  expect(kept).toEqual([expect.objectContaining({ name: 'clinic.open', label: 'Why? of PXTHW' })]);
  const { input } = kept[0] as unknown as { input: { id: string; complaints: string[] } };
  // A colour that is off says not which: the sheet asks.
  expect(input).toMatchObject({ pieceId: PIECE.id, firingId: FIRING, complaints: ['pit'] });
  rerender(<Hand kept={kept} faults={['pit']} waiting />);
  expect(screen.getByText(/is kept, and asked when the server is reached/)).toBeTruthy();
  rerender(<Hand kept={kept} faults={['pit']} waiting={false} />);
  expect(screen.getByRole('link', { name: 'Its case' }).getAttribute('href')).toBe(
    `/clinic/cases/${input.id}`,
  );
});

test('a piece without a fault is not asked about; one whose case is open leads to it', () => {
  const { rerender } = show(<Hand faults={[]} waiting={false} />);
  expect(screen.queryByRole('button', { name: 'Why?' })).toBeNull();
  rerender(<Hand faults={['pit']} waiting={false} known={{ [PIECE.id]: FIRING }} />);
  expect(screen.getByRole('link', { name: 'Its case' }).getAttribute('href')).toBe(`/clinic/cases/${FIRING}`);
});
