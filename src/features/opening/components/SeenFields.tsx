'use client';
import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import type { Point, SeenSign } from '@/core/looks';
import { MEETINGS, OPACITIES, SURFACES, VERDICTS } from '@/core/signs';
import { formatLength, type Units } from '@/core/units';
import { RefireFields } from './RefireFields';
import { PingCounter } from '../../lookagain';
import type { Refires } from './RefireRisk';
import { SignPad } from './SignPad';
import { useKeys } from '@/ui/useKeys';
import { Cautions } from '@/ui/Caution';
import type { SeenInput } from '../contracts';

/** One of a few words in sight; touching the chosen one takes it back. */
function Words<T extends string>({
  label,
  words,
  value,
  onChange,
  big = false,
  keys = false,
}: {
  label: string;
  words: readonly T[];
  value: T | null;
  onChange: (value: T | null) => void;
  big?: boolean;
  /** Are the keys shown: the number of each word? */
  keys?: boolean;
}) {
  return (
    <Box sx={{ mb: 1.25 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        value={value}
        onChange={(_, next: T | null) => onChange(next)}
        aria-label={label}
        sx={{ flexWrap: 'wrap' }}
      >
        {words.map((word, i) => (
          <ToggleButton
            key={word}
            value={word}
            sx={{ minHeight: 56, minWidth: 64, fontSize: big ? '1rem' : undefined }}
          >
            {word}
            {keys && (
              <Box component="kbd" aria-hidden sx={{ ml: 0.75, fontWeight: 800 }}>
                {i + 1}
              </Box>
            )}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}

/** Adds a word to those that are there, or takes it away again. */
export function toggledWord(text: string | null, word: string): string | null {
  const there = (text ?? '').split(/,\s*/).filter(Boolean);
  const next = there.includes(word) ? there.filter((one) => one !== word) : [...there, word];
  return next.length === 0 ? null : next.join(', ').slice(0, 120);
}

/** What can be said of a piece or of one zone of it. `whole` also asks for the verdict. */
export function SeenFields({
  seen,
  onChange,
  stacked,
  whole,
  units,
  cautions,
  where,
  words = [],
  measured = [],
  refires = null,
  stacks = [],
}: {
  seen: SeenInput;
  onChange: (seen: SeenInput) => void;
  stacked: boolean;
  whole: boolean;
  units: Units;
  /** What to beware of in what is on it: above “keep, sell, give”. */
  cautions: readonly string[];
  /** What takes the places of a sign. */
  where?: (sign: SeenSign, onPoints: (points: Point[]) => void) => ReactNode;
  /** Words for colours that the studio uses most. */
  words?: readonly string[];
  /** Words for the colours that its picture shows by the grey card. */
  measured?: readonly string[];
  /** What refires did here, and the stacks of this piece: shown where it is to go in again. */
  refires?: Refires | null;
  stacks?: readonly string[];
}) {
  const set = (part: Partial<SeenInput>): void => onChange({ ...seen, ...part });
  const [keys, setKeys] = useState(false);
  useKeys((key, { ctrlKey }) => {
    const surface = SURFACES[Number(key) - 1];
    if (key === '?') setKeys(!keys);
    else if (surface !== undefined && !ctrlKey) set({ surface: seen.surface === surface ? null : surface });
    else return false;
    return true;
  });
  const chips = [...new Set([...measured, ...words])];
  const has = (word: string): boolean => (seen.colour ?? '').split(/,\s*/).includes(word);
  const step = units.length === 'mm' ? 1 : 25.4 / 16;
  const mm = seen.movementMm ?? 0;
  return (
    <Box>
      <Words
        label="Surface"
        words={SURFACES}
        value={seen.surface}
        onChange={(surface) => set({ surface })}
        big
        keys={keys}
      />
      {whole && <Cautions>{cautions}</Cautions>}
      {whole && (
        <Words
          label="Verdict"
          words={VERDICTS}
          value={seen.verdict}
          onChange={(verdict) => set({ verdict, ...(verdict === 'refire' ? {} : { refire: null }) })}
        />
      )}
      {whole && seen.verdict === 'refire' && (
        <RefireFields seen={seen} onChange={(refire) => set({ refire })} refires={refires} stacks={stacks} />
      )}
      {seen.verdict === 'keep' || seen.verdict === 'sell' || seen.verdict === 'give' ? (
        <Typography role="note" variant="body2" sx={{ borderLeft: '4px solid', pl: 1, mb: 1 }}>
          For use with food only a laboratory leach test clears a glaze, on this body and firing; crazed,
          pitted, dry or metallic surfaces are not for food. The studio’s own rules come first.
        </Typography>
      ) : null}
      <SignPad
        signs={seen.signs}
        onChange={(signs) => set({ signs })}
        keys={keys}
        {...(where && { where })}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, mt: 1.5 }}>
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            Ran
          </Typography>
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <IconButton
              aria-label="Ran less"
              onClick={() =>
                set({
                  movementMm:
                    mm - step <= 0 ? (seen.movementMm === null ? 0 : mm === 0 ? null : 0) : mm - step,
                })
              }
            >
              <Remove />
            </IconButton>
            <Typography
              aria-live="polite"
              sx={{ fontSize: '1.4rem', fontWeight: 700, minWidth: 84, textAlign: 'center' }}
            >
              {seen.movementMm === null ? '–' : formatLength(seen.movementMm, units)}
            </Typography>
            <IconButton
              aria-label="Ran more"
              onClick={() => set({ movementMm: seen.movementMm === null ? step : mm + step })}
            >
              <Add />
            </IconButton>
          </Box>
        </Box>
        {whole && (seen.pings != null || seen.signs.some(({ sign }) => sign === 'crazing')) && (
          <Box>
            <Typography variant="h3" sx={{ mb: 0.5 }}>
              Pings
            </Typography>
            <PingCounter pings={seen.pings ?? null} onPings={(pings) => set({ pings })} />
          </Box>
        )}
        <Box>
          <Typography variant="h3" sx={{ mb: 0.5 }}>
            Liked
          </Typography>
          <ToggleButtonGroup
            exclusive
            value={seen.rating}
            onChange={(_, rating: number | null) => set({ rating })}
            aria-label="Liked, 1 to 5"
          >
            {[1, 2, 3, 4, 5].map((n) => (
              <ToggleButton key={n} value={n} sx={{ minWidth: 44 }}>
                {n}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
      </Box>
      <Box sx={{ mt: 1.5 }}>
        <Words
          label="Opacity"
          words={OPACITIES}
          value={seen.opacity}
          onChange={(opacity) => set({ opacity })}
        />
        {stacked && (
          <Words
            label="How the coats met"
            words={MEETINGS}
            value={seen.met}
            onChange={(met) => set({ met })}
          />
        )}
      </Box>
      <TextField
        label="Colour in words"
        value={seen.colour ?? ''}
        onChange={(event) =>
          set({ colour: event.target.value === '' ? null : event.target.value.slice(0, 120) })
        }
        sx={{ mb: chips.length > 0 ? 0.5 : 1.5 }}
      />
      {chips.length > 0 && (
        <Box
          role="group"
          aria-label="Usual colour words"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mb: 1.5 }}
        >
          {chips.map((word) => (
            <ToggleButton
              key={word}
              value={word}
              selected={has(word)}
              onChange={() => set({ colour: toggledWord(seen.colour, word) })}
              sx={{ minHeight: 56, px: 1.5 }}
            >
              {word}
              {measured.includes(word) ? ' (measured)' : ''}
            </ToggleButton>
          ))}
        </Box>
      )}
      <TextField
        label="Note"
        multiline
        minRows={2}
        value={seen.note ?? ''}
        onChange={(event) => set({ note: event.target.value.slice(0, 4000) })}
      />
    </Box>
  );
}
