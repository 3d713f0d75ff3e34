import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { cameNewWords, refireWords, type CameNew, type RefireRecord } from '@/core/looks';
import { Caution } from '@/ui/Caution';

/** What refires did in this studio. */
export type Refires = { records: readonly RefireRecord[]; came: readonly CameNew[] };

/** What grinding does to whoever grinds: common practice, no source. */
const GRINDING =
  'Grind wet, with eye protection and a mask that is fitted for silica dust; ground glaze has edges that cut. The studio’s rules and the makers’ instructions come first.';
/** Common practice, no source. */
const SLOWLY =
  'A piece that was fired cracks more easily the second time: nothing damp, slow to red heat and slow down.';

/** What a refire did here to these faults, on these coats first, and what it brought that was not there. */
export function RefireRisk({
  faults,
  stacks,
  todo = '',
  records,
  came,
}: Refires & {
  faults: readonly string[];
  /** What lies on the piece: the coats of each of its stacks, without their amounts. */
  stacks: readonly string[];
  /** What will be done first. */
  todo?: string;
}) {
  const lines = faults.flatMap((fault) => {
    const own = records.filter(({ sign }) => sign === fault);
    const alike = own.find(({ stack }) => stack !== null && stacks.includes(stack));
    const all = own.find(({ stack }) => stack === null);
    return [
      ...(alike === undefined ? [] : [`On the same coats, ${refireWords(alike)}`]),
      ...(all === undefined || all.pieces === alike?.pieces ? [] : [`Here, ${refireWords(all)}`]),
    ];
  });
  return (
    <Box role="group" aria-label="What a refire did here">
      {lines.map((line) => (
        <Typography key={line} variant="body2">
          {line}.
        </Typography>
      ))}
      {faults.length > 0 && lines.length === 0 && (
        <Typography variant="body2">
          {records.length === 0
            ? 'Nobody has refired anything here yet and written down what came of it.'
            : 'Of these faults nothing was refired here yet.'}
        </Typography>
      )}
      {came.length > 0 && (
        <Typography variant="body2">{came.slice(0, 3).map(cameNewWords).join('; ')}.</Typography>
      )}
      <Caution brief>{SLOWLY}</Caution>
      {/ground|grind/.test(todo) && <Caution brief>{GRINDING}</Caution>}
    </Box>
  );
}
