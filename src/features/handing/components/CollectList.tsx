'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useItemsAbout } from '@/platform/sender/host';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import { useSay } from '@/ui/Undo';
import { collected } from '../contracts';

export type Collectable = { pieceId: string; code: string; collected: boolean };

/** Ticks of what was collected: one by one, or all that are left. */
export function CollectList({ firingId, pieces }: { firingId: string; pieces: readonly Collectable[] }) {
  const router = useRouter();
  const say = useSay();
  const { act, problem } = useSend();
  const items = useItemsAbout(`handing/${firingId}`) ?? [];
  const [touched, setTouched] = useState<Readonly<Record<string, boolean>>>({});
  /** As it is known here: by what was touched, or waits to be sent, or else by the server. */
  const isCollected = ({ pieceId, collected: known }: Collectable): boolean => {
    const now = touched[pieceId];
    if (now !== undefined) return now;
    const last = items
      .filter(({ state }) => state === 'waiting' || state === 'sending')
      .map(({ input }) => input as { pieceIds: string[]; collected: boolean })
      .findLast(({ pieceIds }) => pieceIds.includes(pieceId));
    return last?.collected ?? known;
  };
  const tick = async (some: readonly Collectable[], taken: boolean): Promise<void> => {
    const ids = some.map(({ pieceId }) => pieceId);
    setTouched((all) => ({ ...all, ...Object.fromEntries(ids.map((id) => [id, taken])) }));
    const answer = await act(collected, { firingId, pieceIds: ids, collected: taken });
    // What was refused is as it was.
    if (!answer.ok)
      setTouched((all) => Object.fromEntries(Object.entries(all).filter(([id]) => !ids.includes(id))));
    if (!answer.ok) return;
    if (some.length > 1) say('All collected', answer.undo && (() => (setTouched({}), answer.undo?.())));
    router.refresh();
  };
  const left = pieces.filter((piece) => !isCollected(piece));
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'center' }}>
      {pieces.map((piece) => (
        <FormControlLabel
          key={piece.pieceId}
          sx={{ minHeight: 56, mr: 0 }}
          control={
            <Checkbox
              checked={isCollected(piece)}
              onChange={(_, taken) => void tick([piece], taken)}
              slotProps={{ input: { 'aria-label': `${piece.code} collected` } }}
            />
          }
          label={<span style={{ fontFamily: MONO, fontWeight: 650 }}>{piece.code}</span>}
        />
      ))}
      {left.length > 1 && <Button onClick={() => void tick(left, true)}>All collected</Button>}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
