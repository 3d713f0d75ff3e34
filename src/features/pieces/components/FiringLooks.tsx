import Typography from '@mui/material/Typography';
import { changesWords, stateOf, voicesOf, voicesWords } from '@/core/looks';
import type { Units } from '@/core/units';
import type { RecordedObservation } from '@/data/observations';
import { ObservationView } from './ObservationView';

/** The looks at a piece after one firing: each stands, and what they say together comes first. */
export function FiringLooks({
  looks,
  opened,
  timeZone,
  units,
}: {
  looks: readonly RecordedObservation[];
  opened: Date | null;
  timeZone: string;
  units: Units;
}) {
  const standing = looks
    .filter(({ superseded }) => !superseded)
    .map((look) => ({ ...look, by: look.seenBy, seenAt: look.seenAt.toISOString() }));
  const names = new Map(looks.map(({ seenBy, seenByName }) => [seenBy, seenByName]));
  const whole = stateOf(standing.filter(({ zone }) => zone === null));
  const since = whole === null ? '' : changesWords(whole.changes);
  const voices = voicesOf(standing).flatMap((one) =>
    voicesWords(one, (id) => names.get(id) ?? id, units),
  );
  return (
    <>
      {since !== '' && (
        <Typography sx={{ fontWeight: 650 }}>Since it came out: {since}.</Typography>
      )}
      {voices.map((line) => (
        <Typography key={line} sx={{ fontWeight: 650 }}>
          {line}
        </Typography>
      ))}
      {looks.map((look) => (
        <ObservationView
          key={look.id}
          one={look}
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
