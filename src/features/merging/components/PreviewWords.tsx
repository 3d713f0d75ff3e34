import Typography from '@mui/material/Typography';
import { count } from '@/core/units';
import { Nothing } from '@/ui/Page';
import type { Preview } from '../preview';

const SHOWN = 12;

/** What a merger would change, in sentences. */
export function PreviewWords({
  preview: { refused, moved, renumbered, cells },
  from,
  into,
}: {
  preview: Preview;
  from: string;
  into: string;
}) {
  if (refused !== null) return <Nothing>{refused}</Nothing>;
  const many = (noun: string): string =>
    noun.startsWith('entry') ? noun.replace('entry', 'entries') : `${noun}s`;
  const [first, last] = [renumbered[0], renumbered.at(-1)];
  return (
    <>
      <Typography>
        {moved.length === 0
          ? `Nothing is recorded under ${from}; only its name goes.`
          : `Led over to ${into}: ${moved.map(({ noun, n }) => count(n, noun, noun === 'other entry' ? 'other entries' : many(noun))).join(', ')}.`}{' '}
        Where the two say different things of themselves, {into} stays as it is.
      </Typography>
      {first !== undefined && last !== undefined && (
        <Typography>
          {renumbered.length === 1
            ? `Firing ${first.was} becomes ${into} ${first.becomes}.`
            : `Its firings ${first.was} to ${last.was} become ${into} ${first.becomes} to ${last.becomes}.`}
        </Typography>
      )}
      {cells === null ? (
        <Typography>
          What that does to the chart is too much to work out beforehand; it can be taken apart again.
        </Typography>
      ) : (
        <Typography>
          {cells.own > 0 && `${count(cells.own, 'cell')} of the chart will stand under ${into}. `}
          {cells.joined.length > 0
            ? `${count(cells.joined.length, 'cell')} will count otherwise:`
            : 'No cell that was there before counts otherwise.'}
        </Typography>
      )}
      {cells !== null && cells.joined.length > 0 && (
        <ul>
          {cells.joined.slice(0, SHOWN).map(({ name, was, becomes }) => (
            <li key={name + was}>
              {name}: {was} → {becomes}
            </li>
          ))}
          {cells.joined.length > SHOWN && <li>and {cells.joined.length - SHOWN} more</li>}
        </ul>
      )}
    </>
  );
}
