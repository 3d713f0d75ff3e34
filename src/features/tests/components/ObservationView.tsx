import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { signOf } from '@/core/signs';
import { formatLength, type Units } from '@/core/units';
import { describeRegion, parseZoneKey } from '@/core/zones';
import type { RecordedObservation } from '@/data/observations';
import { moment } from '@/ui/time';
import { Glyph, RunArrow } from '../../drawings';

/** One observation in words and glyphs, with who said it and when. */
export function ObservationView({
  one,
  timeZone,
  units,
}: {
  one: RecordedObservation;
  timeZone: string;
  units: Units;
}) {
  const place = one.zone === null ? null : parseZoneKey(one.zone);
  const facts = [
    one.surface,
    one.opacity,
    one.colour,
    one.met === null ? null : `coats ${one.met}`,
    one.movementMm === null ? null : `ran ${formatLength(one.movementMm, units)}`,
    one.rating === null ? null : `${one.rating} of 5`,
    one.verdict,
  ].filter((fact) => fact !== null);
  return (
    <Box
      sx={{
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1,
        opacity: one.superseded ? 0.55 : 1,
      }}
    >
      <Typography variant="body2" color="text.secondary">
        {moment(one.seenAt, timeZone)}, {one.seenByName}
        {place ? `: face ${place.face}, ${describeRegion(place)}` : ''}
        {one.superseded ? ' (corrected since)' : ''}
      </Typography>
      <Typography sx={{ fontWeight: 600 }}>
        {facts.join(', ') || 'nothing said of the surface'}
      </Typography>
      {(one.signs.length > 0 || (one.movementMm ?? 0) > 0) && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', my: 0.5 }}>
          {(one.movementMm ?? 0) > 0 && <RunArrow mm={one.movementMm as number} />}
          {one.signs.map((sign) => (
            <Box key={sign.sign} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
              <Glyph sign={sign.sign} severity={sign.severity} label={false} />
              <Typography variant="body2">
                {signOf(sign.sign)?.name ?? sign.sign},{' '}
                {['slight', 'marked', 'ruinous'][sign.severity - 1]}
                {sign.wanted ? ', wanted' : ''}
              </Typography>
            </Box>
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
      {one.note !== '' && <Typography sx={{ whiteSpace: 'pre-line' }}>{one.note}</Typography>}
    </Box>
  );
}
