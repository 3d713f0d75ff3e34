'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { bin, typeUp } from '../contracts';
import { lengthWords } from '../words';

/** A spoken note as a page shows it. */
export type Spoken = {
  id: string;
  lengthS: number | null;
  /** "K3RVT, Anna, 3 May 10:20" */
  what: string;
  words: string | null;
  wordsBy: string | null;
};

const SPEEDS = [1, 0.75, 1.5] as const;

/** Played slower or faster while it is typed up; Ctrl+Space begins and halts without leaving the words. */
export function SpokenNote({ one, writes }: { one: Spoken; writes: boolean }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [typing, setTyping] = useState(one.words === null);
  const [words, setWords] = useState(one.words ?? '');
  const [speed, setSpeed] = useState<number>(1);
  const player = useRef<HTMLAudioElement>(null);
  const pace = (rate: number): void => {
    setSpeed(rate);
    if (player.current !== null) player.current.playbackRate = rate;
  };
  const keep = async (): Promise<void> => {
    const said = words.trim() === '' ? null : words.trim();
    const answer = await act(typeUp, { soundId: one.id, words: said, before: one.words });
    if (!answer.ok) return;
    setTyping(said === null);
    say(answer.kept ? 'Kept on this device until there is a network' : 'Typed up', answer.undo);
    router.refresh();
  };
  const away = async (): Promise<void> => {
    const answer = await act(bin, { soundId: one.id, binned: true });
    if (!answer.ok) return;
    say('Put away', answer.undo);
    router.refresh();
  };
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}>
      <Typography variant="body2" color="text.secondary">
        {one.what}
        {one.lengthS === null ? '' : `, ${lengthWords(one.lengthS)}`}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', my: 0.5 }}>
        <audio
          ref={player}
          controls
          preload="metadata"
          src={`/api/sounds/${one.id}`}
          aria-label={`Spoken note: ${one.what}`}
          onPlay={() => pace(speed)}
          style={{ height: 44, maxWidth: '100%', flex: '1 1 220px' }}
        />
        {writes && (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={speed}
            onChange={(_, rate: number | null) => rate !== null && pace(rate)}
            aria-label="How fast it plays"
          >
            {SPEEDS.map((rate) => (
              <ToggleButton key={rate} value={rate} sx={{ minWidth: 48 }}>
                {rate === 1 ? '1×' : `${rate}×`}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        )}
      </Box>
      {!typing && (
        <Typography sx={{ whiteSpace: 'pre-line' }}>
          {one.words}{' '}
          <Typography component="span" variant="body2" color="text.secondary">
            typed up by {one.wordsBy ?? 'you'}
          </Typography>
          {writes && (
            <Button size="small" onClick={() => setTyping(true)}>
              Put right
            </Button>
          )}
        </Typography>
      )}
      {typing && writes && (
        <>
          <TextField
            label="What is said"
            multiline
            minRows={2}
            fullWidth
            value={words}
            onChange={(event) => setWords(event.target.value.slice(0, 4000))}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && event.ctrlKey) void keep();
              if (event.key === ' ' && event.ctrlKey && player.current !== null) {
                event.preventDefault();
                if (player.current.paused) void player.current.play();
                else player.current.pause();
              }
            }}
            helperText="Ctrl+Space plays and halts; Ctrl+Enter keeps."
          />
          <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
            <Button
              variant="contained"
              disabled={busy || words.trim() === (one.words ?? '')}
              onClick={() => void keep()}
            >
              Keep the words
            </Button>
            <Button disabled={busy} onClick={() => void away()}>
              Put it away
            </Button>
          </Box>
        </>
      )}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
