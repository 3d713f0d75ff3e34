import Button from '@mui/material/Button';
import Link from '@/ui/Link';
import { intendedOf } from '@/core/firing';
import { EVERYWHERE, NAMED_STRETCHES } from '@/core/zones';
import { loadPieces } from '@/data/pieces';
import { permit } from '@/features/people';
import { newLayer } from '../../pieces';
import { MakeForm, type Starting } from '../components/MakeForm';
import { likePiece } from '../queries';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Nothing, Page } from '@/ui/Page';
import { today } from '@/ui/time';
import { makeChoices, versionsOn } from '../../pieces/server';
import { listBodies } from '@/data/bodies';

type Query = {
  like?: string;
  coating?: string;
  base?: string;
  over?: string;
  body?: string;
  cone?: string;
  atmosphere?: string;
};

export async function MakePage({ searchParams }: { searchParams: Promise<Query> }) {
  const { studio } = await enter(permit('keep records'));
  const query = await searchParams;
  const db = database();
  const [piece] = query.like ? await loadPieces(db, { codes: [query.like] }) : [];
  const choices = await makeChoices(db, piece ? versionsOn(piece) : []);
  const bySlug = new Map(choices.coatings.map((coating) => [coating.slug, coating.versionId]));
  let start: Starting = {};
  if (piece) start = likePiece(piece, choices);
  else {
    const base = bySlug.get(query.base ?? query.coating ?? '');
    const over = bySlug.get(query.over ?? '');
    const at = (versionId: string, stretch = EVERYWHERE.stretch) => ({
      ...newLayer(versionId, 1),
      region: { ...EVERYWHERE, stretch },
    });
    if (base && over)
      start.layers = [
        at(base, NAMED_STRETCHES[3]!.stretch),
        { ...at(over, NAMED_STRETCHES[5]!.stretch), driedBefore: true },
      ];
    else if (base) start.layers = [at(base)];
    const body = (await listBodies(db)).find((one) => one.slug === query.body);
    if (body) start.bodyId = body.id;
    const cone = query.cone === undefined ? null : (intendedOf(query.cone) ?? query.cone);
    if (cone !== null && cone !== 'unknown') start.wantedCone = cone;
    if (query.atmosphere && query.atmosphere !== 'unknown')
      start.wantedAtmosphere = query.atmosphere as Starting['wantedAtmosphere'];
  }
  return (
    <Page
      title={query.like ? `Make more like ${query.like}` : 'Make tiles'}
      wide
      lead="What goes on, in which order and where; the zones follow."
    >
      {choices.bodies.length === 0 ? (
        <Nothing
          act={
            <Button component={Link} href="/store/bodies/new" variant="contained">
              Add a body
            </Button>
          }
        >
          A tile is made of a body: add one to the store first.
        </Nothing>
      ) : (
        <MakeForm {...choices} start={start} today={today(studio.timeZone)} />
      )}
    </Page>
  );
}
