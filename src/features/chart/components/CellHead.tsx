'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { CONE_KNOWN_BY } from '@/core/axes';
import { CONE_KNOWN } from '@/core/firing';
import { signOf } from '@/core/signs';
import { sideWords, standingWords, toldWords, type Division } from '@/core/standing';
import { count, formatLength, inUnits, type Units } from '@/core/units';
import { coatsOfKey, describeAmount, type CoatName } from '@/core/zones';
import type { Cell } from '@/data/board';

/** "2 pieces: cones read; 1 piece: by its log": how the cone is known, told apart in every cell. */
const knownWords = ({ known }: Cell): string =>
  CONE_KNOWN.filter((how) => known[how])
    .map((how) => {
      const words = CONE_KNOWN_BY.words(how, { body: String, coating: String });
      return `${count(known[how]!, 'piece')}: ${words}`;
    })
    .join('; ');

/** "crazing came later on 2 pieces". */
const since = (signs: Cell['later'], words: string): string =>
  signs
    .map(({ sign, pieces }) => `${signOf(sign)?.name ?? sign} ${words} on ${count(pieces, 'piece')}`)
    .join('; ');

/** One way the pair was put on, and how well it is known. */
export function CellHead({
  cell,
  units,
  name,
  codes,
}: {
  cell: Cell;
  units: Units;
  name: CoatName;
  /** Codes of its pieces by id, to name exceptions. */
  codes: ReadonlyMap<string, string>;
}) {
  const coats = coatsOfKey(cell.stackKey);
  // A blend is named by its mix; of a coating of the studio's own the amount tells the ways apart.
  const ways = coats.map(({ slug, version, amount }) => {
    const own = name(slug, version);
    return own === name(slug, 0) ? describeAmount(amount) : `${own} (${describeAmount(amount)})`;
  });
  const facts = [
    cell.surface,
    cell.movementMm ? `runs ${formatLength(cell.movementMm, units)}` : null,
    cell.met ? `coats ${cell.met}` : null,
  ].filter(Boolean);
  const rated = cell.ratings;
  const notes = [
    since(cell.later, 'came later'),
    since(cell.gone, 'is gone since'),
    cell.split > 0 ? `Testers differ about ${count(cell.split, 'piece')}` : '',
    rated !== null && rated[1] - rated[0] >= 2 ? `Rated ${rated[0]} to ${rated[1]}: a matter of taste` : '',
  ].filter((note) => note !== '');
  return (
    <>
      <Typography variant="h2">
        {inUnits(ways.reverse().join(' over ') || 'bare', units)}
        {cell.refired ? ', after a refire' : ''}
      </Typography>
      <Typography>
        <b>{standingWords(cell)}</b>: {count(cell.pieces, 'piece')} in {count(cell.firings, 'firing')}
        {facts.length > 0 ? `, ${facts.join(', ')}` : ''}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {knownWords(cell)}
      </Typography>
      {notes.map((note) => (
        <Typography key={note} variant="body2" sx={{ fontWeight: 650 }}>
          {note}.
        </Typography>
      ))}
      {cell.divisions.map((division) => (
        <DivisionNote key={division.about} division={division} units={units} codes={codes} />
      ))}
    </>
  );
}

/** What the pieces are divided about: the exceptions named, or what tells the sides apart. */
function DivisionNote({
  division,
  units,
  codes,
}: {
  division: Division;
  units: Units;
  codes: ReadonlyMap<string, string>;
}) {
  const { about, weight, sides, told } = division;
  const words = (value: string): string => inUnits(sideWords(about, value), units);
  const [most, ...others] = sides;
  const named = (pieces: readonly string[]): string =>
    pieces
      .slice(0, 4)
      .map((id) => codes.get(id) ?? '')
      .filter(Boolean)
      .join(', ');
  if (weight === 'exception')
    return (
      <Typography variant="body2">
        {most!.count} {words(most!.value)}; but{' '}
        {others.map((side) => `${words(side.value)}: ${named(side.pieces)}`).join('; ')}.
      </Typography>
    );
  return (
    <Box sx={{ borderLeft: '4px solid', pl: 1, my: 0.5 }}>
      <Typography>
        {sides.map((side) => `${side.count} ${words(side.value)}`).join(', ')}: {toldWords(division)}.
      </Typography>
      {told.map((one) => (
        <Typography key={one.variable} variant="body2">
          {one.variable} {one.values[0].join(', ')}: {words(most!.value)}; {one.values[1].join(', ')}:{' '}
          {others.map((side) => words(side.value)).join(' or ')}.
        </Typography>
      ))}
    </Box>
  );
}
