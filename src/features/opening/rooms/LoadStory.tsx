import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { firingTitle, reachedWords } from '@/core/firing';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { listKilns } from '@/data/kilns';
import { askedOf } from '@/data/second-looks';
import { listWitnesses } from '@/data/witnesses';
import { ConeRow } from '@/features/drawings';
import { NextTime } from '@/features/firings';
import { AskAgain } from '../../lookagain';
import { HandOut } from '../../handing/rooms/HandOut';
import { Section } from '@/ui/Page';

/** So many firings of the kiln stand beside this one. */
const BESIDE = 4;

/**
 * What the load leaves to the next one: its cones beside those before, what was to be watched, what is to be
 * done.
 */
export async function LoadStory({
  src,
  firing,
  kept,
}: {
  src: Source;
  firing: Firing;
  /** Pieces that stay: those may be looked at again. */
  kept: readonly string[];
}) {
  const [all, kilns, asked] = await Promise.all([
    listFirings(src, { kilnId: firing.kilnId, statuses: ['opened'], limit: 40 }),
    listKilns(src),
    askedOf(src, firing.id),
  ]);
  const alike = all.filter(
    ({ id, kind, unrecorded }) => id !== firing.id && kind === firing.kind && !unrecorded,
  );
  const row = [firing, ...alike.slice(0, BESIDE)];
  const cones = await listWitnesses(
    src,
    row.map(({ id }) => id),
  );
  const last = alike.find(({ targetCone }) => targetCone === firing.targetCone) ?? null;
  const fuelled = kilns.find(({ id }) => id === firing.kilnId)?.energy !== 'electric';
  return (
    <Box sx={{ mt: 3 }}>
      <HandOut src={src} firingId={firing.id} title={firingTitle(firing)} />
      {kept.length > 0 && (
        <Section title="Look again">
          <AskAgain firingId={firing.id} pieceIds={kept} asked={asked} />
        </Section>
      )}
      {row.some(({ id }) => (cones.get(id) ?? []).some(({ bendDegrees }) => bendDegrees !== null)) && (
        <Section title="Its cones, beside those of before">
          <Box sx={{ display: 'flex', gap: 3, overflowX: 'auto', pb: 1 }}>
            {row.map((one) => {
              const [place] = (cones.get(one.id) ?? []).map((cone) => cone.place);
              return (
                <Box key={one.id} sx={{ flex: 'none' }}>
                  <Typography variant="body2" sx={{ fontWeight: one.id === firing.id ? 800 : 500 }}>
                    {firingTitle(one)}
                  </Typography>
                  <ConeRow
                    cones={(cones.get(one.id) ?? []).filter((cone) => cone.place === place)}
                    size={46}
                  />
                  <Typography variant="body2">{reachedWords(one)}</Typography>
                </Box>
              );
            })}
          </Box>
        </Section>
      )}
      {last !== null && last.nextTime !== '' && (
        <Section title="What we said last time we would watch">
          <Typography sx={{ whiteSpace: 'pre-line', borderLeft: '4px solid', pl: 1 }}>
            {last.nextTime}
          </Typography>
          <Typography variant="body2">After {firingTitle(last)}.</Typography>
        </Section>
      )}
      <Section title="For next time">
        <NextTime
          firingId={firing.id}
          nextTime={firing.nextTime}
          energyUsed={firing.energyUsed}
          unit={fuelled ? 'gas units' : 'kWh'}
        />
      </Section>
    </Box>
  );
}
