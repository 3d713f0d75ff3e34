'use client';
import FlagOutlined from '@mui/icons-material/FlagOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import Close from '@mui/icons-material/Close';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { SETTINGS } from '@/core/firing';
import type { Footprint } from '@/core/load';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { nearCodes, readCode } from '@/core/codes';
import { useSend } from '@/platform/useSend';
import { Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { MONO } from '@/ui/theme';

export type LoadPiece = {
  id: string;
  code: string;
  mark: string | null;
  stack: string;
  body: string;
  form: string;
  flags: string[];
  wants: string;
  suits: boolean;
  footprint: Footprint;
};
export type Placed = LoadPiece & { placementId: string; shelf: number | null; setting: string };

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
  const [setting, setSetting] = useState('unknown');
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [all, setAll] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const shown = all ? waiting : waiting.filter((piece) => piece.suits);

  const put = async (pieceIds: string[]): Promise<boolean> => {
    const answer = await act<{ placementIds: string[] }>('kilns.place', {
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
        raised.length > 0
          ? `Flag: ${raised.join('; ')}`
          : `${pieceIds.length} ${pieceIds.length === 1 ? 'piece' : 'pieces'} in`,
        open ? () => void takeOut(answer.data.placementIds) : undefined,
      );
      router.refresh();
    }
    return answer.ok;
  };
  const takeOut = async (placementIds: string[]): Promise<void> => {
    if ((await act('kilns.take-out', { firingId, placementIds })).ok) router.refresh();
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
            component="form"
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
              onChange={(event) => setSetting(event.target.value)}
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
          <Stack
            direction="row"
            sx={{ mt: 2, mb: 0.5, alignItems: 'center', flexWrap: 'wrap', gap: 1 }}
          >
            <Typography variant="h3" sx={{ flex: 1 }}>
              Waiting{all ? '' : ' and suited'}: {shown.length}
            </Typography>
            <Button
              size="small"
              disabled={shown.length === 0}
              onClick={() =>
                setChosen(
                  chosen.size === shown.length
                    ? new Set()
                    : new Set(shown.map((piece) => piece.id)),
                )
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
          <Box
            sx={{
              maxHeight: 380,
              overflow: 'auto',
              borderTop: '1px solid',
              borderColor: 'divider',
            }}
            tabIndex={0}
            role="group"
            aria-label="Waiting pieces"
          >
            {shown.length === 0 && (
              <Typography sx={{ py: 2 }}>Nothing that waits suits this firing.</Typography>
            )}
            {shown.map((piece) => (
              <Box
                component="label"
                key={piece.id}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: { xs: '42px 84px 1fr', md: '42px 90px 1fr 150px 250px' },
                  alignItems: 'center',
                  gap: 1,
                  borderBottom: '1px solid',
                  borderColor: 'divider',
                  cursor: 'pointer',
                }}
              >
                <Checkbox
                  checked={chosen.has(piece.id)}
                  onChange={() =>
                    setChosen((now) => {
                      const next = new Set(now);
                      if (!next.delete(piece.id)) next.add(piece.id);
                      return next;
                    })
                  }
                />
                <Typography sx={{ fontFamily: MONO, fontWeight: 700 }}>{piece.code}</Typography>
                <Typography noWrap>
                  {piece.stack}
                  {piece.flags.length > 0 && <Flagged texts={piece.flags} />}
                </Typography>
                <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
                  {piece.body}, {piece.form}
                </Typography>
                <Typography
                  variant="body2"
                  color="text.secondary"
                  sx={{ display: { xs: 'none', md: 'block' } }}
                >
                  {piece.wants}
                </Typography>
              </Box>
            ))}
          </Box>
        </Section>
      )}
      <Section title={`In the load: ${placed.length}`}>
        {!open && <ProblemNote>{problem}</ProblemNote>}
        {placed.length === 0 && <Typography>Nothing yet.</Typography>}
        {[...new Set(placed.map((one) => one.shelf))]
          .sort((a, b) => (b ?? 0) - (a ?? 0))
          .map((level) => (
            <Box key={level ?? 0} sx={{ mb: 1.5 }}>
              <Typography variant="h3">
                {level === null ? 'Shelf not said' : `Shelf ${level}`}
              </Typography>
              <Box
                sx={{
                  display: 'grid',
                  gridTemplateColumns: 'repeat(auto-fill, minmax(210px, 1fr))',
                  borderTop: '3px solid',
                  borderColor: 'text.primary',
                }}
              >
                {placed
                  .filter((one) => one.shelf === level)
                  .map((piece) => (
                    <Box
                      key={piece.placementId}
                      sx={{
                        display: 'flex',
                        alignItems: 'center',
                        gap: 0.5,
                        borderRight: '1px solid',
                        borderBottom: '1px solid',
                        borderColor: 'divider',
                        px: 1,
                        py: 0.25,
                        minHeight: 48,
                      }}
                    >
                      <Box sx={{ flex: 1, minWidth: 0 }}>
                        <Typography
                          component="a"
                          href={`/pieces/${piece.code}`}
                          sx={{
                            fontFamily: MONO,
                            fontWeight: 700,
                            color: 'inherit',
                            textDecoration: 'none',
                          }}
                        >
                          {piece.code}
                        </Typography>
                        {piece.mark ? ` “${piece.mark}”` : ''}
                        <Typography variant="body2" noWrap>
                          {piece.stack}
                        </Typography>
                        {piece.flags.length > 0 && <Flagged texts={piece.flags} />}
                      </Box>
                      {open && (
                        <IconButton
                          size="small"
                          aria-label={`Take ${piece.code} out`}
                          disabled={busy}
                          onClick={() => void takeOut([piece.placementId])}
                        >
                          <Close fontSize="small" />
                        </IconButton>
                      )}
                    </Box>
                  ))}
              </Box>
            </Box>
          ))}
      </Section>
    </>
  );
}

function Flagged({ texts }: { texts: readonly string[] }) {
  return (
    <Typography
      component="span"
      variant="body2"
      sx={{ ml: 1, fontWeight: 700, whiteSpace: 'nowrap' }}
    >
      <FlagOutlined aria-label="Flag" sx={{ fontSize: 16, verticalAlign: '-3px' }} />{' '}
      {texts.join('; ')}
    </Typography>
  );
}
