import Typography from '@mui/material/Typography';
import { becameWords, changesWords, stateOf, voicesOf, voicesWords } from '@/core/looks';
import type { Units } from '@/core/units';
import type { RecordedObservation } from '@/data/observations';
import { inTurn } from '../in-turn';
import { ObservationView } from './ObservationView';

/** The looks that stand, as the core reads them. */
const asTold = (looks: readonly RecordedObservation[]) =>
  looks
    .filter(({ superseded }) => !superseded)
    .map((look) => ({ ...look, by: look.seenBy, seenAt: look.seenAt.toISOString() }));

/** The looks at a piece after one firing: each stands, and what they say together comes first. */
export function FiringLooks({
  looks,
  before,
  whereOf,
  opened,
  timeZone,
  units,
}: {
  looks: readonly RecordedObservation[];
  /** The looks after the firing before, where this was a refire. */
  before: readonly RecordedObservation[];
  /** Words for a zone. */
  whereOf: (zone: string) => string;
  opened: Date | null;
  timeZone: string;
  units: Units;
}) {
  const standing = asTold(looks);
  const names = new Map(looks.map(({ seenBy, seenByName }) => [seenBy, seenByName]));
  const whole = stateOf(standing.filter(({ zone }) => zone === null));
  const since = whole === null ? '' : changesWords(whole.changes);
  const was = stateOf(asTold(before).filter(({ zone }) => zone === null));
  const became =
    whole === null || was === null
      ? ''
      : becameWords(
          was.now.signs.filter(({ wanted }) => !wanted),
          whole.cameOut.signs.filter(({ wanted }) => !wanted),
        );
  const voices = voicesOf(standing).flatMap((one) =>
    voicesWords(one, (id) => names.get(id) ?? id, units, one.zone === null ? '' : whereOf(one.zone)),
  );
  return (
    <>
      {became !== '' && <Typography sx={{ fontWeight: 650 }}>By this refire: {became}.</Typography>}
      {since !== '' && <Typography sx={{ fontWeight: 650 }}>Since it came out: {since}.</Typography>}
      {voices.map((line) => (
        <Typography key={line} sx={{ fontWeight: 650 }}>
          {line}
        </Typography>
      ))}
      {inTurn(looks).map(({ look, goesOn }) => (
        <ObservationView
          key={look.id}
          one={look}
          goesOn={goesOn}
          where={look.zone === null ? '' : whereOf(look.zone)}
          corrects={looks.find(({ id }) => id === look.supersedes) ?? null}
          corrected={looks.find(({ supersedes }) => supersedes === look.id) ?? null}
          opened={opened}
          timeZone={timeZone}
          units={units}
        />
      ))}
    </>
  );
}
