import Typography from '@mui/material/Typography';
import { bandWords } from '@/core/firing';
import { listBodies } from '@/data/bodies';
import { coatNames, listCoatings } from '@/data/coatings';
import { controlSeen, readControl } from '@/data/control';
import type { Source } from '@/data/database';
import Link from '@/ui/Link';
import { Section } from '@/ui/Page';
import { namedStack } from '../named';
import { alike, controlSeries } from '../series';
import { LazyChart } from '../components/LazyChart';

/** How the control came out of a kiln, firing by firing. */
export async function ControlOfKiln({ src, kilnId }: { src: Source; kilnId: string }) {
  const control = await readControl(src);
  if (control === null)
    return (
      <Section title="The control">
        <Typography>
          No stack is the studio’s control yet. On the <Link href="/chart">chart</Link>, open one that is
          fired often and make it the control: then drift shows here before a customer sees it.
        </Typography>
      </Section>
    );
  const [seen, bodies, coatings] = await Promise.all([
    controlSeen(src, control, kilnId),
    listBodies(src),
    listCoatings(src),
  ]);
  const { of, cone, atmosphere } = alike(seen);
  const series = controlSeries(of);
  const name = namedStack(control, bodies, coatNames(coatings));
  return (
    <Section title={`The control: ${name}`}>
      {series.length === 0 ? (
        <Typography>
          It was seen in {of.length === 0 ? 'no firing' : 'one firing'} of this kiln so far.
        </Typography>
      ) : (
        <>
          <Typography color="text.secondary" sx={{ mb: 1 }}>
            {of.length} firings to {bandWords(cone)}, {atmosphere}
            {seen.length > of.length ? `; ${seen.length - of.length} to others left out` : ''}.
          </Typography>
          <LazyChart series={series} />
        </>
      )}
    </Section>
  );
}
