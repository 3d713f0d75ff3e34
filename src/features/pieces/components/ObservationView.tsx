import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { refireWords } from '@/core/journey';
import { signOf } from '@/core/signs';
import { lookWords, whenWords } from '@/core/looks';
import type { Units } from '@/core/units';
import type { RecordedObservation } from '@/data/observations';
import { moment } from '@/ui/time';
import { RunArrow, SignRow } from '../../drawings';

/** One observation in words and glyphs, with who said it and when. */
export function ObservationView({
  one,
  where,
  goesOn,
  corrects,
  corrected,
  opened,
  timeZone,
  units,
}: {
  one: RecordedObservation;
  /** Which part of the piece it is of; '' for the whole. */
  where: string;
  /** Who looked, and when, is said above it. */
  goesOn: boolean;
  /** The look whose words it puts right, and the one that put right its own. */
  corrects: RecordedObservation | null;
  corrected: RecordedObservation | null;
  opened: Date | null;
  timeZone: string;
  units: Units;
}) {
  const facts = lookWords(one, units);
  const refire = one.refire == null ? '' : refireWords(one.refire);
  return (
    <Box
      sx={{
        borderTop: goesOn ? 0 : '1px solid',
        borderColor: 'divider',
        pt: goesOn ? 0 : 1,
        pb: 1,
        opacity: one.superseded ? 0.55 : 1,
      }}
    >
      <Typography variant="body2" color="text.secondary">
        {[
          goesOn
            ? ''
            : `${moment(one.seenAt, timeZone)}, ${one.seenByName}, ${whenWords(one.seenAt, opened, one.place)}`,
          where,
        ]
          .filter((part) => part !== '')
          .join(': ')}
        {corrects
          ? `; puts right what ${corrects.seenByName} wrote ${moment(corrects.seenAt, timeZone)}`
          : ''}
        {corrected ? ` (put right by ${corrected.seenByName})` : one.superseded ? ' (taken back)' : ''}
      </Typography>
      <Typography sx={{ fontWeight: 600 }}>{facts || 'nothing said of the surface'}</Typography>
      {(one.signs.length > 0 || (one.movementMm ?? 0) > 0) && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', my: 0.5 }}>
          {(one.movementMm ?? 0) > 0 && <RunArrow mm={one.movementMm as number} />}
          {one.signs.map((sign) => (
            <SignRow key={sign.sign} sign={sign} />
          ))}
        </Box>
      )}
      {one.signs
        .map((sign) => signOf(sign.sign)?.caution)
        .filter(Boolean)
        .slice(0, 1)
        .map((caution) => (
          <Typography key={caution} variant="body2" sx={{ fontWeight: 650 }}>
            {caution}
          </Typography>
        ))}
      {refire !== '' && <Typography>{refire}</Typography>}
      {(one.healed ?? []).length > 0 && (
        <Typography>
          Not there any more: {one.healed?.map((sign) => signOf(sign)?.name.toLowerCase() ?? sign).join(', ')}
        </Typography>
      )}
      {one.note !== '' && <Typography sx={{ whiteSpace: 'pre-line' }}>{one.note}</Typography>}
    </Box>
  );
}
