'use client';
import { count } from '@/core/units';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { SETTINGS, type Setting } from '@/core/firing';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { nearCodes, readCode } from '@/core/codes';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { MONO } from '@/ui/theme';
import * as contracts from '../contracts';
import { LoadedPieces, WaitingPieces, type LoadPiece, type Placed } from './LoadPieces';
import { Form } from '@/ui/Form';

/** Puts pieces in: by code, or picked from those that wait; on a shelf, on a setting. */
export function Load({
  firingId,
  shelves,
  placed,
  waiting,
  open,
}: {
  firingId: string;
  shelves: number;
  placed: readonly Placed[];
  waiting: readonly LoadPiece[];
  open: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [shelf, setShelf] = useState<string>('1');
  const [setting, setSetting] = useState<Setting>('unknown');
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [all, setAll] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const shown = all ? waiting : waiting.filter((piece) => piece.suits);

  const put = async (pieceIds: string[]): Promise<boolean> => {
    const answer = await act(contracts.place, {
      firingId,
      pieceIds,
      shelf: shelf === '' ? null : Number(shelf),
      setting,
    });
    if (answer.ok) {
      const raised = [...waiting]
        .filter((piece) => pieceIds.includes(piece.id))
        .flatMap((piece) => piece.flags.map((flag) => `${piece.code}: ${flag}`));
      say(
        raised.length > 0 ? `Flag: ${raised.join('; ')}` : `${count(pieceIds.length, 'piece')} in`,
        open ? () => void takeOut(answer.data.placementIds) : undefined,
      );
      router.refresh();
    }
    return answer.ok;
  };
  const takeOut = async (placementIds: string[]): Promise<void> => {
    if ((await act(contracts.takeOut, { firingId, placementIds })).ok) router.refresh();
  };
  const byCode = async (): Promise<void> => {
    setWrong(null);
    const marked = waiting.filter(
      (piece) => piece.mark !== null && piece.mark.toLowerCase() === text.trim().toLowerCase(),
    );
    const read = readCode(text);
    const piece =
      (read.ok ? waiting.find((one) => one.code === read.code) : undefined) ??
      (marked.length === 1 ? marked[0] : undefined);
    if (piece) {
      if (await put([piece.id])) setText('');
    } else if (read.ok) {
      const inside = placed.find((one) => one.code === read.code);
      setWrong(
        inside
          ? `${read.code} is in this load already.`
          : `${read.code} is not waiting: it is unknown here, in another kiln, or fired already.`,
      );
    } else {
      const near = waiting.filter((one) => nearCodes(text).includes(one.code));
      setWrong(
        marked.length > 1
          ? `${marked.length} waiting pieces bear the mark “${text.trim()}”: ${marked.map((one) => one.code).join(', ')}.`
          : `${read.message}${near.length > 0 ? ` Was it ${near.map((one) => one.code).join(' or ')}?` : ''}`,
      );
    }
    field.current?.select();
  };
  return (
    <>
      {open && (
        <Section title="Put in">
          <Stack
            direction={{ xs: 'column', sm: 'row' }}
            spacing={1}
            component={Form}
            onSubmit={(event) => {
              event.preventDefault();
              void byCode();
            }}
          >
            <TextField
              inputRef={field}
              label="Code or mark"
              value={text}
              onChange={(event) => setText(event.target.value)}
              error={wrong !== null}
              helperText={wrong}
              slotProps={{
                htmlInput: {
                  autoCapitalize: 'characters',
                  autoComplete: 'off',
                  spellCheck: false,
                  style: { fontFamily: MONO, fontSize: '1.2rem' },
                },
              }}
            />
            <TextField
              select
              label="Shelf"
              value={shelf}
              onChange={(event) => setShelf(event.target.value)}
              sx={{ maxWidth: { sm: 130 } }}
              helperText="from the bottom"
            >
              <MenuItem value="">not said</MenuItem>
              {Array.from({ length: shelves }, (_, i) => (
                <MenuItem key={i} value={String(i + 1)}>
                  {i + 1}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Stands on"
              value={setting}
              onChange={(event) => setSetting(event.target.value as Setting)}
              sx={{ maxWidth: { sm: 150 } }}
            >
              {SETTINGS.map((one) => (
                <MenuItem key={one} value={one}>
                  {one === 'unknown' ? 'not said' : one}
                </MenuItem>
              ))}
            </TextField>
            <Button
              type="submit"
              variant="contained"
              disabled={busy || text.trim() === ''}
              sx={{ flex: 'none', alignSelf: 'flex-start' }}
            >
              Put in
            </Button>
          </Stack>
          <ProblemNote>{problem}</ProblemNote>
          <Stack direction="row" sx={{ mt: 2, mb: 0.5, alignItems: 'center', flexWrap: 'wrap', gap: 1 }}>
            <Typography variant="h3" sx={{ flex: 1 }}>
              Waiting{all ? '' : ' and suited'}: {shown.length}
            </Typography>
            <Button
              size="small"
              disabled={shown.length === 0}
              onClick={() =>
                setChosen(chosen.size === shown.length ? new Set() : new Set(shown.map((piece) => piece.id)))
              }
            >
              {chosen.size === shown.length && shown.length > 0 ? 'Choose none' : 'Choose all'}
            </Button>
            {(all || shown.length < waiting.length) && (
              <Button size="small" onClick={() => setAll(!all)}>
                {all ? 'Only those suited' : `All ${waiting.length} waiting`}
              </Button>
            )}
            <Button
              size="small"
              variant="contained"
              disabled={busy || chosen.size === 0}
              onClick={() => void put([...chosen]).then((done) => done && setChosen(new Set()))}
            >
              Put {chosen.size || ''} on {shelf === '' ? 'a shelf' : `shelf ${shelf}`}
            </Button>
          </Stack>
          <WaitingPieces
            pieces={shown}
            chosen={chosen}
            onToggle={(id) =>
              setChosen((now) => {
                const next = new Set(now);
                if (!next.delete(id)) next.add(id);
                return next;
              })
            }
          />
        </Section>
      )}
      <LoadedPieces
        placed={placed}
        open={open}
        busy={busy}
        problem={open ? null : problem}
        onTakeOut={(id) => void takeOut([id])}
      />
    </>
  );
}
