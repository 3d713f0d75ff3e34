'use client';
import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { call } from '@/platform/client';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import type { PictureMatch } from '../pictures';
import { sendPicture } from '@/features/media';

type Entry = PictureMatch & {
  picture: File;
  state: 'ready' | 'sending' | 'kept' | 'failed';
  said: string;
};

/** Matches a folder of pictures to pieces by the code or mark in their names, then sends them. */
export function PictureRoom() {
  const [entries, setEntries] = useState<Entry[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const choose = async (files: readonly File[]): Promise<void> => {
    setProblem(null);
    const pictures = files.filter((file) => file.type.startsWith('image/'));
    const answer = await call<PictureMatch[]>('/api/import/pictures', {
      method: 'POST',
      body: JSON.stringify({ files: pictures.map((file) => file.name) }),
    });
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
  const input = { position: 'absolute', width: 1, height: 1, opacity: 0 } as const;
  const label = {
    display: 'inline-flex',
    alignItems: 'center',
    border: '2px dashed',
    borderColor: 'divider',
    minHeight: 60,
    px: 3,
    mr: 1,
    mb: 2,
    color: 'primary.main',
    fontWeight: 650,
    cursor: 'pointer',
    '&:focus-within': { outline: '3px solid', outlineColor: 'primary.main' },
  };
  return (
    <Box>
      <Typography sx={{ mb: 2, maxWidth: 700 }}>
        A picture belongs to the piece whose code or mark stands in its file name, as in
        “ACEF7.jpg”, “tile ACEF7 front.jpg” or “P23.jpg”. It goes to that piece’s last firing.
      </Typography>
      <Box component="label" sx={label}>
        Choose a folder
        <input
          type="file"
          multiple
          aria-label="Choose a folder of pictures"
          style={input}
          {...{ webkitdirectory: '' }}
          onChange={(event) => void choose([...(event.target.files ?? [])])}
        />
      </Box>
      <Box component="label" sx={label}>
        Choose pictures
        <input
          type="file"
          multiple
          accept="image/*"
          aria-label="Choose pictures"
          style={input}
          onChange={(event) => void choose([...(event.target.files ?? [])])}
        />
      </Box>
      <ProblemNote>{problem}</ProblemNote>
      {entries.length > 0 && (
        <>
          <Typography role="status" sx={{ fontWeight: 650 }}>
            {matched.length} of {entries.length} pictures have their piece; {kept} kept.
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
          <Table size="small" aria-label="Pictures">
            <TableHead>
              <TableRow>
                <TableCell>File</TableCell>
                <TableCell>Piece</TableCell>
                <TableCell>Found by</TableCell>
                <TableCell>State</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {entries.map((entry) => (
                <TableRow key={entry.file}>
                  <TableCell>{entry.file}</TableCell>
                  <TableCell sx={{ fontFamily: MONO }}>{entry.code ?? '–'}</TableCell>
                  <TableCell>{entry.why}</TableCell>
                  <TableCell>
                    {entry.pieceId === null ? 'left out' : entry.state}
                    {entry.said ? `: ${entry.said}` : ''}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </>
      )}
    </Box>
  );
}
