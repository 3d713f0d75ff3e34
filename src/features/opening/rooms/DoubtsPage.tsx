import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { signOf } from '@/core/signs';
import { lookWords } from '@/core/looks';
import type { Units } from '@/core/units';
import { listObservations, type RecordedObservation } from '@/data/observations';
import { listPieces } from '@/data/pieces';
import { unitsOf } from '@/data/studio';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Nothing, Page } from '@/ui/Page';
import { MONO } from '@/ui/theme';
import { day } from '@/ui/time';
import { SettleDoubt } from '../components/SettleDoubt';

const said = (look: RecordedObservation, units: Units): string =>
  [
    lookWords(look, units),
    ...look.signs.map(({ sign }) => signOf(sign)?.name.toLowerCase() ?? sign),
    look.note,
  ]
    .filter(Boolean)
    .join(', ') || 'nothing particular';

/** Looks from before they stood beside one another: a technician says which were corrections. */
export async function DoubtsPage() {
  const { studio } = await enter(permit('keep records'));
  const db = database();
  const units = unitsOf(studio);
  const doubted = await listObservations(db, { doubted: true });
  const [replaced, pieces] = await Promise.all([
    listObservations(db, { ids: doubted.flatMap(({ doubtedAs }) => doubtedAs ?? []) }),
    listPieces(db, { ids: doubted.map(({ pieceId }) => pieceId) }),
  ]);
  const before = new Map(replaced.map((look) => [look.id, look]));
  const codes = new Map(pieces.map(({ id, code }) => [id, code]));
  return (
    <Page
      title="Second looks, or corrections?"
      lead="Earlier the last words on a piece replaced those before. These may have been a second person’s look as well as a correction; until you say so, both stand."
    >
      {doubted.length === 0 && <Nothing>Nothing is in doubt.</Nothing>}
      {doubted.map((look) => {
        const old = before.get(look.doubtedAs ?? '');
        const code = codes.get(look.pieceId) ?? '';
        return (
          <Box key={look.id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1.5 }}>
            <Link href={`/pieces/${code}`} style={{ fontFamily: MONO, fontWeight: 700 }}>
              {code}
            </Link>
            {old && (
              <Typography>
                {old.seenByName}, {day(old.seenAt, studio.timeZone)}: {said(old, units)}
              </Typography>
            )}
            <Typography>
              {look.seenByName}, {day(look.seenAt, studio.timeZone)}: {said(look, units)}
            </Typography>
            <SettleDoubt observationId={look.id} />
          </Box>
        );
      })}
    </Page>
  );
}
