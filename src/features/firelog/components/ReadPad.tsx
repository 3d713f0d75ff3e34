'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { QUANTITIES, formatTemperature, type Units } from '@/core/units';
import { studioNow } from '@/platform/device/clock';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { NumberField } from '@/ui/NumberField';
import { useNow } from '@/ui/useNow';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** What no kiln shows is not asked about: it cannot be so. */
const [COLDEST, HOTTEST] = [-30, 2500];
const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '⌫', '0'];

/**
 * One reading in two touches: open the pad, touch the temperature it expects (or type it).
 * Made for gloves: keys of a finger's breadth and more.
 */
export function ReadPad({
  firingId,
  last,
  rate,
  everyS,
  units,
  probe,
}: {
  firingId: string;
  last: { at: Date; celsius: number } | null;
  rate: number | null;
  everyS: number;
  units: Pick<Units, 'temperature'>;
  probe: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const now = useNow();
  const { act, busy, problem, clear } = useSend();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [mv, setMv] = useState<number | null>(null);
  const tried = useRef<{ shown: number; at: string } | null>(null);
  const [ask, setAsk] = useState<{ celsius: number; at: string } | null>(null);
  const due = last === null ? null : last.at.getTime() + everyS * 1000;
  const minutes = due === null || now === null ? null : Math.round((due - now) / 60_000);
  const expected =
    last === null
      ? 20
      : last.celsius +
        ((rate ?? 0) * Math.max(0, (now ?? last.at.getTime()) - last.at.getTime())) / 3_600_000;
  const middle = Math.round(QUANTITIES.temperature.shown(expected, units) / 5) * 5;
  const likely = [-10, -5, 0, 5, 10].map((step) => middle + step);

  const save = async (shown: number, sure = false, atMoment?: string): Promise<void> => {
    if (Number.isNaN(mv)) return;
    const celsius = QUANTITIES.temperature.kept(shown, units);
    // Tried again after a lost connection it is still the reading of that moment.
    const at =
      atMoment ?? (tried.current?.shown === shown ? tried.current.at : new Date(studioNow()).toISOString());
    tried.current = { shown, at };
    const answer = await act(contracts.read, {
      firingId,
      at,
      celsius,
      probeMv: mv,
      sure,
    });
    if (answer.ok) {
      tried.current = null;
      setOpen(false);
      setText('');
      setMv(null);
      setAsk(null);
      say(
        `${formatTemperature(celsius, units)} written down${answer.kept ? ' on this device' : ''}`,
        answer.undo,
      );
      if (!answer.kept) router.refresh();
    } else if (answer.problem.fields?.celsius && celsius >= COLDEST && celsius <= HOTTEST)
      setAsk({ celsius: shown, at });
  };
  const press = (key: string): void => {
    clear();
    setAsk(null);
    setText((before) => (key === '⌫' ? before.slice(0, -1) : `${before}${key}`.slice(0, 4)));
  };
  return (
    <>
      <Button
        variant="contained"
        size="large"
        onClick={() => {
          // Another moment, another figure: the pad opens empty.
          setText('');
          setMv(null);
          setAsk(null);
          clear();
          setOpen(true);
        }}
        sx={{ minHeight: 64, fontSize: '1.15rem' }}
      >
        Read temperature
        {minutes !== null &&
          (minutes > 0
            ? `, next in ${minutes} min`
            : minutes === 0
              ? ', due now'
              : `, due ${-minutes} min ago`)}
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} fullWidth maxWidth="xs">
        <Box sx={{ p: 2 }}>
          <Typography variant="h2" component="h2">
            What does it show?
          </Typography>
          <Typography
            aria-live="polite"
            sx={{ fontSize: '3.2rem', fontWeight: 700, minHeight: '1.2em', lineHeight: 1.2 }}
          >
            {text === '' ? '–' : text} °{units.temperature}
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, 1fr)', gap: 0.75, mb: 1.5 }}>
            {likely.map((value) => (
              <Button
                key={value}
                variant="outlined"
                disabled={busy}
                onClick={() => void save(value)}
                sx={{ minHeight: 56, minWidth: 0, px: 0, fontSize: '1.1rem' }}
              >
                {value}
              </Button>
            ))}
          </Box>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.75 }}>
            {KEYS.map((key) => (
              <Button
                key={key}
                variant="outlined"
                onClick={() => press(key)}
                aria-label={key === '⌫' ? 'Take the last digit away' : key}
                sx={{ minHeight: 60, fontSize: '1.5rem' }}
              >
                {key}
              </Button>
            ))}
            <Button
              variant="contained"
              disabled={busy || text === ''}
              onClick={() => void save(Number(text))}
              sx={{ minHeight: 60, fontSize: '1.1rem' }}
            >
              Save
            </Button>
          </Box>
          {probe && (
            <Box sx={{ mt: 1.5 }}>
              <NumberField label="Oxygen probe, mV (if there is one)" value={mv} onChange={setMv} />
            </Box>
          )}
          <ProblemNote
            act={
              ask && (
                <Button
                  variant="outlined"
                  disabled={busy}
                  onClick={() => void save(ask.celsius, true, ask.at)}
                >
                  It is really so
                </Button>
              )
            }
          >
            {problem}
          </ProblemNote>
        </Box>
      </Dialog>
    </>
  );
}
