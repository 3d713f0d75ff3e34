'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { count } from '@/core/units';
import { namesOf } from '@/core/wallboard';
import { plainName } from '@/core/zones';
import { groundsOf } from '../rows';
import type { OnBoard, Said } from '../said';
import type { Names } from './BoardTable';

const unknownOf = (wanted: readonly string[], known: readonly string[]): string[] => {
  const there = new Set(known.map(plainName));
  return wanted.filter((name) => !there.has(plainName(name)));
};

/** What bringing the board in would do, in words, and the act itself. */
export function Summary({
  said,
  list,
  names,
  busy,
  onBring,
}: {
  said: Said;
  list: readonly OnBoard[];
  names: Names;
  busy: boolean;
  onBring: () => void;
}) {
  const hanging = list.filter(({ hangs }) => hangs);
  const lost = hanging.filter(({ is }) => is.lost).length;
  const doubted = hanging.filter(({ is }) => is.doubted).length;
  const used = namesOf(hanging.map(({ is }) => is));
  const coatings = unknownOf(used.coatings, names.coatings);
  const bodies = unknownOf(
    used.bodies.filter((name) => name.trim() !== ''),
    names.bodies,
  );
  const { under, top, line } = said.board;
  const numbers = [under, top.lower, top.upper, line];
  const missing = [
    said.name.trim() === '' ? 'the board’s name' : '',
    hanging.some(({ is }) => is.body.trim() === '') ? 'the body' : '',
    numbers.some(Number.isNaN) ? 'its coats in numbers' : '',
  ].filter((one) => one !== '');
  const faces = groundsOf(said.board).length;
  return (
    <Box sx={{ borderTop: '2px solid', borderColor: 'text.primary', pt: 1.5, mb: 2 }}>
      <Typography>
        {count(hanging.length, 'tile')}
        {faces > 1 ? ', two halves each' : ''}; {count(list.length - hanging.length, 'place')} empty
        {lost > 0 ? `; of ${lost} nobody knows what is on them: they are kept, and stand in no cell` : ''}
        {doubted > 0 ? `; ${doubted} doubted` : ''}.
        {said.firedOn === null ? ' The day of firing stays unknown.' : ''}
        {said.cone === null || said.cone.trim() === '' ? ' The cone stays unknown.' : ''}
      </Typography>{' '}
      {coatings.length > 0 && (
        <Typography sx={{ mt: 0.5 }}>
          <b>New in the store:</b> {coatings.join(', ')}. If one of them is there under another spelling,
          correct its heading.
        </Typography>
      )}
      {bodies.length > 0 && (
        <Typography sx={{ mt: 0.5 }}>
          <b>New bodies:</b> {bodies.join(', ')}.
        </Typography>
      )}
      <Button
        variant="contained"
        size="large"
        disabled={busy || hanging.length === 0 || missing.length > 0}
        onClick={onBring}
        sx={{ mt: 1.5 }}
      >
        Bring in {count(hanging.length, 'tile')}
      </Button>{' '}
      {missing.length > 0 && (
        <Typography component="span" variant="body2">
          Say {missing.join(' and ')} first.
        </Typography>
      )}
    </Box>
  );
}
