import Typography from '@mui/material/Typography';
import { toCollect } from '@/data/handing';
import type { Source } from '@/data/database';
import { count } from '@/core/units';
import { Section } from '@/ui/Page';
import { CollectList } from '../components/CollectList';

/** After so long nobody is asked any more whether it was collected. */
const SEASON = 120 * 86_400_000;
const aSeasonAgo = (): Date => new Date(Date.now() - SEASON);

/** What of somebody's own lies ready, and where. */
export async function ToCollect({ src, ownerId }: { src: Source; ownerId: string }) {
  const ready = await toCollect(src, ownerId, aSeasonAgo());
  if (ready.length === 0) return null;
  return (
    <Section title="Ready to collect">
      {ready.map(({ firingId, firing, place, pieces }) => (
        <div key={firingId}>
          <Typography sx={{ fontWeight: 650 }}>
            {count(pieces.length, 'piece')} out of {firing}
            {place === '' ? '' : `: collect from ${place}`}
          </Typography>
          <CollectList
            firingId={firingId}
            pieces={pieces.map(({ id, code }) => ({ pieceId: id, code, collected: false }))}
          />
        </div>
      ))}
    </Section>
  );
}
