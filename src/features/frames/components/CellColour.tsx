import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { colourWords, distanceWords, hexOf, type Lab, type Repeats, type TogetherColour } from '@/core/colour'; // prettier-ignore

/** Colours by their shares, side by side. */
export function ColourStrip({ parts }: { parts: readonly { lab: Lab; share: number }[] }) {
  return (
    <Box
      aria-hidden
      sx={{ display: 'flex', height: 18, border: '1px solid', borderColor: 'divider', printColorAdjust: 'exact' }} // prettier-ignore
    >
      {parts.map((part, i) => (
        <Box key={i} sx={{ flexGrow: part.share, bgcolor: hexOf(part.lab) }} />
      ))}
    </Box>
  );
}

export const labWords = (lab: Lab): string =>
  `L* ${lab[0].toFixed(0)} a* ${lab[1].toFixed(0)} b* ${lab[2].toFixed(0)}`;

const sharesWords = ({ parts }: TogetherColour): string =>
  parts.length < 2
    ? ''
    : ` (${parts.map(({ lab, share }) => `${colourWords([{ lab, share }])} ${(100 * share).toFixed(0)} %`).join(', ')})`; // prettier-ignore

/** What colour a cell is by number: its shares, and how far its pieces scatter against repeats of this studio. */
export function CellColour({ colour, repeats }: { colour: TogetherColour; repeats: Repeats }) {
  const { pieces, firings, scatter } = colour;
  const against = firings > 1 ? repeats.between : repeats.within;
  return (
    <Box sx={{ my: 1, maxWidth: 420 }}>
      <ColourStrip parts={colour.parts} />
      <Typography variant="body2" sx={{ mt: 0.25 }}>
        {colourWords(colour.parts)}
        {sharesWords(colour)}: {labWords(colour.lab)}
        {scatter === null
          ? '; one piece measured'
          : `; ${pieces} pieces measured, two of them ${scatter.toFixed(1)} ΔE₀₀ apart: ${distanceWords(scatter, against)}`}
      </Typography>
    </Box>
  );
}
