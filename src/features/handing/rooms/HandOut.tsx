import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { collectFrom, listToHand, usualPlaces } from '@/data/handing';
import type { Source } from '@/data/database';
import { CopyText } from '@/ui/CopyText';
import { Section } from '@/ui/Page';
import { CollectFrom } from '../components/CollectFrom';
import { CollectList } from '../components/CollectList';
import { byOwner, tellWords } from '../words';

/** Whom to tell of a firing, in words to be copied, where it lies, and what was collected. */
export async function HandOut({ src, firingId, title }: { src: Source; firingId: string; title: string }) {
  const [pieces, place, usual] = await Promise.all([
    listToHand(src, firingId),
    collectFrom(src, firingId),
    usualPlaces(src),
  ]);
  if (pieces.length === 0) return null;
  const owners = byOwner(pieces);
  const words = tellWords(owners, title, place);
  return (
    <Section title="To their owners">
      <CollectFrom key={place} firingId={firingId} place={place} usual={usual} />
      {words !== '' && <CopyText text={words} label="Copy the words to their owners" />}
      {owners.map(({ id, name, pieces: own }) => (
        <Box key={id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.5 }}>
          <Typography sx={{ fontWeight: 650 }}>{name}</Typography>
          <CollectList
            firingId={firingId}
            pieces={own.map(({ pieceId, code, collectedAt }) => ({
              pieceId,
              code,
              collected: collectedAt !== null,
            }))}
          />
        </Box>
      ))}
    </Section>
  );
}
