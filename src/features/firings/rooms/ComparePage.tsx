import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { findFiring, listFirings, type Firing } from '@/data/firings';
import { unitsOf } from '@/data/studio';
import { CompareCurves } from '../components/CompareCurves';
import { ChooseFirings } from '../components/ChooseFirings';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page, Section } from '@/ui/Page';
import { calendarDay } from '@/ui/time';
import { compareFirings } from '../server';
import { firingTitle } from '@/core/firing';

const ID = /^[0-9a-f-]{36}$/;

/** The last firing that was opened, and the one before it in the same kiln: where a comparison begins. */
const opened = ({ status, unrecorded, startedAt }: Firing): boolean =>
  status === 'opened' && (!unrecorded || startedAt !== null);
const lastOf = (all: readonly Firing[]): Firing | null => all.find(opened) ?? null;
const before = (all: readonly Firing[], one: Firing | null | undefined): Firing | null =>
  all.find((other) => one != null && opened(other) && other.kilnId === one.kilnId && other.no < one.no) ??
  null;

export async function ComparePage({ searchParams }: { searchParams: Promise<{ a?: string; b?: string }> }) {
  const { studio } = await enter(permit('see records'));
  const units = unitsOf(studio);
  const query = await searchParams;
  const db = database();
  const asked = (id?: string) => (id && ID.test(id) ? findFiring(db, id) : null);
  const [all, first, second] = await Promise.all([listFirings(db), asked(query.a), asked(query.b)]);
  const a = first ?? lastOf(all);
  const b = second ?? before(all, a);
  const found = a && b ? await compareFirings(db, a, b, units) : null;
  return (
    <Page title="Compare firings" lead="What was the same, what was not, and what came of it.">
      <ChooseFirings
        a={a?.id ?? ''}
        b={b?.id ?? ''}
        firings={all.map((firing) => ({
          id: firing.id,
          label: `${firingTitle(firing)}, ${firing.kind}, ${calendarDay(firing.plannedFor)}`,
        }))}
      />
      {!(a && b && found) ? (
        <Nothing>Choose two firings.</Nothing>
      ) : (
        <>
          <Section title="Curves">
            {found.curves.a.length < 2 && found.curves.b.length < 2 ? (
              <Typography>Neither has a log.</Typography>
            ) : (
              <CompareCurves
                a={{ name: firingTitle(a), log: found.curves.a }}
                b={{ name: firingTitle(b), log: found.curves.b }}
                byCone={found.byCone}
                units={units}
              />
            )}
          </Section>
          <Section title="What differed">
            <Box
              component="table"
              sx={{
                borderCollapse: 'collapse',
                width: '100%',
                maxWidth: 900,
                '& td, & th': { textAlign: 'left', py: 0.6, pr: 2, verticalAlign: 'top' },
                '& tr': { borderTop: '1px solid', borderColor: 'divider' },
              }}
            >
              <thead>
                <tr>
                  <th />
                  <th>{firingTitle(a)}</th>
                  <th>{firingTitle(b)}</th>
                </tr>
              </thead>
              <tbody>
                {found.differences.map((one) => (
                  <tr key={one.what}>
                    <th scope="row">{one.what}</th>
                    <td>{one.a}</td>
                    <td>{one.b}</td>
                  </tr>
                ))}
              </tbody>
            </Box>
            {found.same.length > 0 && (
              <Typography color="text.secondary" sx={{ mt: 1 }}>
                The same: {found.same.join(', ').toLowerCase()}.
              </Typography>
            )}
          </Section>
          <Section title="What came out differently">
            {found.shared === 0 ? (
              <Typography>No stack was seen in both of them on one body.</Typography>
            ) : (
              <>
                <Typography sx={{ mb: 1 }}>
                  {count(found.shared, 'stack was', 'stacks were')} in both; {found.stacks.length} came out
                  otherwise. The firing is one case, however many pieces it held.
                </Typography>
                {found.stacks.map((one) => (
                  <Box
                    key={one.body + one.stack}
                    sx={{
                      display: 'grid',
                      gridTemplateColumns: { xs: '1fr', sm: '1.2fr 1fr 1fr' },
                      gap: { xs: 0, sm: 2 },
                      borderTop: '1px solid',
                      borderColor: 'divider',
                      py: 0.75,
                    }}
                  >
                    <Typography sx={{ fontWeight: 650 }}>
                      {one.stack} on {one.body}
                    </Typography>
                    <Typography>{one.a || 'nothing said'}</Typography>
                    <Typography>{one.b || 'nothing said'}</Typography>
                  </Box>
                ))}
              </>
            )}
          </Section>
          <Button component={Link} href={`/kilns/firings/${b.id}`}>
            Back to {firingTitle(b)}
          </Button>
        </>
      )}
    </Page>
  );
}
