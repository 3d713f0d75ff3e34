import { randomInt } from 'node:crypto';
import Button from '@mui/material/Button';
import { listPieces } from '@/data/pieces';
import { permit } from '@/features/people';
import { AskForm } from '../components/AskForm';
import { askChoices } from '../server';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page } from '@/ui/Page';
import { DESIGN_KINDS, type DesignKind } from '@/core/designs';
import { makeChoices } from '../../pieces/server';
import { listCoatings } from '@/data/coatings';

export async function AskPage({
  searchParams,
}: {
  searchParams: Promise<{ design?: string; coating?: string; version?: string; match?: string }>;
}) {
  await enter(permit('keep records'));
  const { design, coating, version, match } = await searchParams;
  const db = database();
  const kind: DesignKind = DESIGN_KINDS.find((one) => one === design) ?? 'coats';
  const versions = (await listCoatings(db)).find(({ slug }) => slug === coating)?.versions ?? [];
  const from = (versions.find(({ no }) => String(no) === version) ?? versions.at(-1))?.id;
  const [choices, { coatings }] = await Promise.all([askChoices(db, new Date(), from), makeChoices(db)]);
  const [piece] = match === undefined ? [] : await listPieces(db, { codes: [match] });
  return (
    <Page
      title="Ask a question"
      lead="A design makes the tiles, checks what it confuses, and writes the sheets."
      wide
    >
      {choices.bodies.length === 0 || choices.coatings.length === 0 ? (
        <Nothing
          act={
            <Button component={Link} href="/store" variant="contained">
              Go to the store
            </Button>
          }
        >
          A design needs at least one body and one coating.
        </Nothing>
      ) : (
        <AskForm
          choices={choices}
          coatings={coatings}
          start={{ kind, ...(from === undefined ? {} : { coating: from }) }}
          seed={randomInt(4294967295)}
          target={piece === undefined ? null : { id: piece.id, code: piece.code }}
        />
      )}
    </Page>
  );
}
