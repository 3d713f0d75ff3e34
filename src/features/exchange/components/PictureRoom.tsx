'use client';
import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { call, type Sent } from '@/platform/client';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import type { PictureMatch } from '../pictures';
import { sendPicture } from '@/features/media';
import { FileChoice } from './FileChoice';
import { LostPicture } from './LostPicture';
import { PictureTable, type Entry } from './PictureTable';

const match = (files: readonly string[]): Promise<Sent<PictureMatch[]>> =>
  call<PictureMatch[]>('/api/import/pictures', { method: 'POST', body: JSON.stringify({ files }) });

/** Matches pictures to pieces by the code or mark in their names; the others are placed by looking at them. */
export function PictureRoom() {
  const [entries, setEntries] = useState<Entry[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const choose = async (files: readonly File[]): Promise<void> => {
    setProblem(null);
    const pictures = files.filter((file) => file.type.startsWith('image/'));
    const answer = await match(pictures.map((file) => file.name));
    if (!answer.ok) return setProblem(answer.problem.message);
    setEntries(
      answer.data.map((match, i) => ({
        ...match,
        picture: pictures[i] as File,
        state: 'ready',
        said: '',
      })),
    );
  };
  const set = (i: number, part: Partial<Entry>): void =>
    setEntries((now) => now.map((entry, at) => (at === i ? { ...entry, ...part } : entry)));
  /** Whoever looks at a picture knows its piece: by the code or mark they give. */
  const place = async (i: number, words: string): Promise<string | null> => {
    const answer = await match([words]);
    if (!answer.ok) return answer.problem.message;
    const [found] = answer.data;
    if (found!.pieceId === null) {
      if (found!.maybe.length > 0) set(i, { maybe: found!.maybe });
      return found!.maybe.length > 0 ? `${found!.why}: which is it?` : `No piece has “${words}”.`;
    }
    set(i, { ...found!, file: entries[i]!.file, key: 'sure', why: 'said by you' });
    return null;
  };
  const send = async (): Promise<void> => {
    setBusy(true);
    for (const [i, entry] of entries.entries()) {
      if (entry.pieceId === null || entry.state === 'kept') continue;
      set(i, { state: 'sending' });
      const answer = await sendPicture(entry.picture, entry.pieceId, entry.firingId);
      set(
        i,
        answer.ok ? { state: 'kept', said: '' } : { state: 'failed', said: answer.problem.message },
      );
    }
    setBusy(false);
  };
  const matched = entries.filter((entry) => entry.pieceId !== null);
  const kept = entries.filter((entry) => entry.state === 'kept').length;
  const left = matched.length - kept;
  const of = (key: Entry['key']): number => entries.filter((entry) => entry.key === key).length;
  return (
    <Box>
      <Typography sx={{ mb: 2, maxWidth: 700 }}>
        A picture belongs to the piece whose code or mark stands in its file name, as in
        “ACEF7.jpg”, “tile ACEF7 front.jpg” or “P23.jpg”. It goes to that piece’s last firing. One
        without is shown, for you to say whose it is.
      </Typography>
      <FileChoice
        label="Choose a folder"
        name="Choose a folder of pictures"
        folder
        onFiles={(files) => void choose(files)}
      />
      <FileChoice
        label="Choose pictures"
        name="Choose pictures"
        onFiles={(files) => void choose(files)}
      />
      <ProblemNote>{problem}</ProblemNote>
      {entries.length > 0 && (
        <>
          <Typography role="status" sx={{ fontWeight: 650 }}>
            {matched.length} of {entries.length} pictures have their piece; {kept} kept. Keys:{' '}
            {of('sure')} sure, {of('likely')} likely, {of('lost')} lost.
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
          {of('lost') > 0 && (
            <Section title="Whose are these?">
              <Box
                sx={{
                  display: 'grid',
                  gap: 2,
                  gridTemplateColumns: 'repeat(auto-fill, minmax(180px, 1fr))',
                }}
              >
                {entries.map(
                  (entry, i) =>
                    entry.key === 'lost' && (
                      <LostPicture key={i} entry={entry} onPlace={(words) => place(i, words)} />
                    ),
                )}
              </Box>
            </Section>
          )}
          {matched.length > 0 && <PictureTable entries={matched} />}
        </>
      )}
    </Box>
  );
}
