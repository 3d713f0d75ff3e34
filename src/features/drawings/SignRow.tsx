import Box from '@mui/material/Box';
import { SEVERITIES, signOf } from '@/core/signs';
import { placesWords, type SeenSign } from '@/core/looks';
import { Glyph } from './Glyph';

/** A sign as it was seen: its glyph, its name, how bad, and whether it was wanted. */
export function SignRow({ sign, brief = false }: { sign: SeenSign; brief?: boolean }) {
  const where = brief ? '' : placesWords(sign.points ?? []);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
      <Glyph sign={sign.sign} severity={sign.severity} label={false} {...(brief ? { size: 24 } : {})} />
      {signOf(sign.sign)?.name ?? sign.sign}
      {brief ? '' : `, ${SEVERITIES[sign.severity - 1]}`}
      {sign.wanted ? ', wanted' : ''}
      {where === '' ? '' : `, ${where}`}
    </Box>
  );
}
