'use client';
import Typography from '@mui/material/Typography';
import { CRISTOBALITE_C, QUARTZ_C, passagesOf, type Passage, type Segment } from '@/core/heatwork';
import { formatRate, formatTemperature, type Units } from '@/core/units';

function words({ what, rate }: Passage, units: Units): string {
  const at = rate === null ? '' : ` at ${formatRate(rate, units)}`;
  if (what === 'crystals')
    return `On the way down it is ${rate === null ? 'held' : `cooled${at}`} between ${formatTemperature(1100, units)} and ${formatTemperature(850, units)}: crystals grow there; a gloss may come out matt or cloudy, and a crystal glaze wants it.`;
  return what === 'quartz going up'
    ? `Quartz turns at ${formatTemperature(QUARTZ_C, units)} and this climbs through it${at}: thick or large ware, and bisque, want under ${formatRate(100, units)} there.`
    : `Quartz turns back at ${formatTemperature(QUARTZ_C, units)} and this drops through it${at}: large ware may crack (and again near ${formatTemperature(CRISTOBALITE_C, units)}). Let it cool by itself.`;
}

/** What a program passes through that is worth a word, each with its kind of source. */
export function Passages({ segments, units }: { segments: readonly Segment[]; units: Units }) {
  return passagesOf(segments).map((passage) => (
    <Typography key={passage.what} variant="body2" sx={{ mt: 1 }}>
      {words(passage, units)} <i>({passage.source})</i>
    </Typography>
  ));
}
