import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  colourWord,
  distanceWords,
  hexOf,
  labWords,
  type Lab,
  type Repeats,
  type TogetherColour,
} from '@/core/colour';

/** Colours by their shares, side by side. */
export function ColourStrip({ parts }: { parts: readonly { lab: Lab; share: number }[] }) {
  return (
    <Box
      aria-hidden
      sx={{
        display: 'flex',
        height: 18,
        border: '1px solid',
        borderColor: 'divider',
        printColorAdjust: 'exact',
      }}
    >
      {parts.map((part, i) => (
        <Box key={i} sx={{ flexGrow: part.share, bgcolor: hexOf(part.lab) }} />
      ))}
    </Box>
  );
}

/** "pale grey 58 %, brown 42 %": parts of one name together; nothing where they have but one. */
export function sharesWords(parts: TogetherColour['parts']): string {
  const shares = new Map<string, number>();
  for (const { lab, share } of parts) shares.set(colourWord(lab), (shares.get(colourWord(lab)) ?? 0) + share);
  return shares.size < 2
    ? ''
    : [...shares].map(([word, share]) => `${word} ${(100 * share).toFixed(0)} %`).join(', ');
}

/**
 * What colour a cell is by number: its shares, and how far its pieces scatter against repeats of this studio.
 */
export function CellColour({ colour, repeats }: { colour: TogetherColour; repeats: Repeats }) {
  const { pieces, firings, scatter } = colour;
  const against = firings > 1 ? repeats.between : repeats.within;
  return (
    <Box sx={{ my: 1, maxWidth: 420 }}>
      <ColourStrip parts={colour.parts} />
      <Typography variant="body2" sx={{ mt: 0.25 }}>
        {sharesWords(colour.parts) || colourWord(colour.lab)}: {labWords(colour.lab)}
        {scatter === null
          ? '; one piece measured'
          : `; ${pieces} pieces measured, two of them ${scatter.toFixed(1)} ΔE₀₀ apart: ${distanceWords(scatter, against)}`}
      </Typography>
    </Box>
  );
}
