'use client';
import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { call, type Sent } from '@/platform/client';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { sendPicture } from '@/features/media';
import { putShelfAway } from '@/features/frames/contracts';
import type { PictureMatch, PieceInOrder } from '../pictures';
import { proposed, type Chosen, type OfFiring } from '../folder';
import { takenAt } from '../taken';
import { FileChoice } from './FileChoice';
import { LostPicture } from './LostPicture';
import { PictureTable } from './PictureTable';

const ask = <R,>(step: string, body: object): Promise<Sent<R>> =>
  call<R>(`/api/import/${step}`, { method: 'POST', body: JSON.stringify(body) });
const match = (files: readonly string[]) => ask<PictureMatch[]>('pictures', { files });

/** At most so many are put away in one act. */
const AWAY = 100;

/**
 * Matches pictures to pieces by the code or mark in their names, or by the order in which they were taken at
 * an opening.
 */
export function PictureRoom({ firings = [] }: { firings?: readonly { id: string; title: string }[] }) {
  const say = useSay();
  const { act } = useSend();
  const [chosen, setChosen] = useState<Chosen[]>([]);
  const [of, setOf] = useState<OfFiring | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const entries = proposed(chosen, of);
  const choose = async (files: readonly File[]): Promise<void> => {
    setProblem(null);
    const pictures = files.filter((file) => file.type.startsWith('image/'));
    const answer = await match(pictures.map((file) => file.name));
    if (!answer.ok) return setProblem(answer.problem.message);
    const at = await Promise.all(pictures.map(takenAt));
    setChosen(
      answer.data.map((found, i) => ({
        ...found,
        picture: pictures[i] as File,
        at: at[i] ?? null,
        state: 'ready',
        said: '',
        none: false,
      })),
    );
  };
  const set = (i: number, part: Partial<Chosen>): void =>
    setChosen((now) => now.map((entry, at) => (at === i ? { ...entry, ...part } : entry)));
  const takenFrom = async (firingId: string): Promise<void> => {
    if (firingId === '') return setOf(null);
    const answer = await ask<PieceInOrder[]>('order', { firingId });
    if (!answer.ok) return setProblem(answer.problem.message);
    setOf({ firingId, pieces: answer.data, each: of?.each ?? 1, all: of?.all ?? false });
  };
  /** Whoever looks at a picture knows its piece: by the code or mark they give. */
  const place = async (i: number, words: string): Promise<string | null> => {
    const answer = await match([words]);
    if (!answer.ok) return answer.problem.message;
    const [found] = answer.data;
    if (found!.pieceId === null) {
      if (found!.maybe.length > 0) set(i, { maybe: found!.maybe });
      return found!.maybe.length > 0 ? `${found!.why}: which is it?` : `No piece has “${words}”.`;
    }
    set(i, { ...found!, file: chosen[i]!.file, key: 'sure', why: 'said by you', none: false });
    return null;
  };
  const send = async (): Promise<void> => {
    setBusy(true);
    const added: string[] = [];
    // What the order proposed is settled by sending it: what is said later changes nothing of it.
    const now = entries;
    for (const [i, entry] of now.entries()) {
      if (entry.pieceId === null || entry.state === 'kept') continue;
      set(i, { ...entry, state: 'sending' });
      const answer = await sendPicture(entry.picture, entry.pieceId, entry.firingId);
      if (answer.ok && answer.data.added) added.push(answer.data.id);
      set(i, answer.ok ? { state: 'kept', said: '' } : { state: 'failed', said: answer.problem.message });
    }
    setBusy(false);
    if (added.length === 0) return;
    say(`${count(added.length, 'picture')} kept`, () => void takeBack(added));
  };
  const takeBack = async (added: readonly string[]): Promise<void> => {
    for (let i = 0; i < added.length; i += AWAY) {
      const answer = await act(putShelfAway, { photoIds: added.slice(i, i + AWAY), binned: true });
      if (!answer.ok) return setProblem(answer.problem.message);
    }
    setChosen((now) => now.map((one) => (one.state === 'kept' ? { ...one, state: 'ready' } : one)));
  };
  const matched = entries.filter((entry) => entry.pieceId !== null);
  const kept = entries.filter((entry) => entry.state === 'kept').length;
  const left = matched.length - kept;
  const key = (one: Chosen['key']): number => entries.filter((entry) => entry.key === one).length;
  const byOrder = entries.filter((entry, i) => entry.pieceId !== null && chosen[i]!.pieceId === null);
  const looked = (list: readonly Chosen[]) => (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: 'repeat(auto-fill, minmax(180px, 1fr))',
      }}
    >
      {list.map((entry) => {
        const i = entries.indexOf(entry);
        return (
          <LostPicture
            key={i}
            entry={entry}
            onPlace={(words) => place(i, words)}
            onNone={() => set(i, { none: !entry.none })}
          />
        );
      })}
    </Box>
  );
  return (
    <Box>
      <Typography sx={{ mb: 2, maxWidth: 700 }}>
        A picture belongs to the piece whose code or mark stands in its file name, as in “ACEF7.jpg”, “tile
        ACEF7 front.jpg” or “P23.jpg”. It goes to that piece’s last firing. One without is shown, for you to
        say whose it is; those of an opening can be given in the order in which they were taken.
      </Typography>
      <FileChoice
        label="Choose a folder"
        name="Choose a folder of pictures"
        folder
        onFiles={(files) => void choose(files)}
      />
      <FileChoice label="Choose pictures" name="Choose pictures" onFiles={(files) => void choose(files)} />
      <ProblemNote>{problem}</ProblemNote>
      {entries.length > 0 && (
        <>
          {firings.length > 0 && (
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 1.5 }}>
              <TextField
                select
                fullWidth={false}
                label="Taken in order at the opening of"
                value={of?.firingId ?? ''}
                onChange={({ target }) => void takenFrom(target.value)}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
                sx={{ minWidth: 260 }}
              >
                <MenuItem value="">no opening: by their names</MenuItem>
                {firings.map(({ id, title }) => (
                  <MenuItem key={id} value={id}>
                    {title}
                  </MenuItem>
                ))}
              </TextField>
              {of !== null && of.pieces.some(({ pictured }) => pictured) && (
                <FormControlLabel
                  control={<Switch checked={of.all} onChange={(_, all) => setOf({ ...of, all })} />}
                  label="also those that have a picture"
                />
              )}
              {of !== null && (
                <TextField
                  select
                  fullWidth={false}
                  label="Pictures a piece"
                  value={of.each}
                  onChange={({ target }) => setOf({ ...of, each: Number(target.value) })}
                  sx={{ minWidth: 130 }}
                >
                  {[1, 2, 3, 4].map((n) => (
                    <MenuItem key={n} value={n}>
                      {n}
                    </MenuItem>
                  ))}
                </TextField>
              )}
            </Box>
          )}
          <Typography role="status" sx={{ fontWeight: 650 }}>
            {matched.length} of {entries.length} pictures have their piece; {kept} kept. Keys: {key('sure')}{' '}
            sure, {key('likely')} likely, {key('lost')} lost.
          </Typography>
          {busy && (
            <LinearProgress
              variant="determinate"
              value={matched.length === 0 ? 0 : (kept / matched.length) * 100}
              aria-label="Pictures sent"
            />
          )}
          <Button
            variant="contained"
            disabled={busy || left === 0}
            onClick={() => void send()}
            sx={{ my: 1 }}
          >
            {entries.some((entry) => entry.state === 'failed')
              ? `Try ${left} again`
              : `Bring in ${count(left, 'picture')}`}
          </Button>
          {byOrder.length > 0 && (
            <Section title="By the order of taking: look at each">
              <Typography sx={{ mb: 1 }}>
                One that is said to be another piece, or none, moves those after it.
              </Typography>
              {looked(byOrder)}
            </Section>
          )}
          {key('lost') > 0 && (
            <Section title="Whose are these?">
              {looked(entries.filter((entry) => entry.key === 'lost'))}
            </Section>
          )}
          {matched.length > 0 && <PictureTable entries={matched} />}
        </>
      )}
    </Box>
  );
}
