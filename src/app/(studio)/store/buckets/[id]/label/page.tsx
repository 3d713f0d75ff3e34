import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import QRCode from 'qrcode';
import { z } from 'zod';
import { formatConeRange } from '@/core/cones';
import { hazardsOf } from '@/core/chemistry';
import { listBuckets } from '@/data/buckets';
import { listCoatings } from '@/data/catalogue';
import { listMaterials } from '@/data/materials';
import { recipesOf } from '@/data/recipes';
import { permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Page } from '@/ui/Page';
import { PrintButton } from '@/ui/PrintButton';
import { day } from '@/ui/time';

export const metadata = { title: 'Label' };

export default async function LabelPage({ params }: { params: Promise<{ id: string }> }) {
  const { studio } = await enter(permit('see records'));
  const { id } = await params;
  if (!z.uuid().safeParse(id).success) notFound();
  const db = database();
  const [bucket] = await listBuckets(db, { id });
  if (bucket === undefined) notFound();
  const coating = (await listCoatings(db)).find((one) => one.slug === bucket.coatingSlug);
  const recipe = (await recipesOf(db, [bucket.versionId])).get(bucket.versionId);
  const materials = (await listMaterials(db)).filter((one) =>
    recipe?.lines.some((line) => line.materialId === one.id),
  );
  const head = await headers();
  const host = head.get('host') ?? 'localhost';
  const scheme = head.get('x-forwarded-proto') ?? 'http';
  const address = `${scheme}://${host}/store/buckets/${id}`;
  const svg = await QRCode.toString(address, { type: 'svg', margin: 1 });
  const { advice } = bucket;
  return (
    <Page title="Label" acts={<PrintButton>Print</PrintButton>}>
      <Box
        data-print-only
        sx={{
          width: '140mm',
          maxWidth: '100%',
          border: '2px solid #000',
          bgcolor: '#fff',
          color: '#000',
          p: '6mm',
          display: 'grid',
          gridTemplateColumns: '1fr 34mm',
          gap: '5mm',
        }}
      >
        <Box>
          <Typography sx={{ fontSize: '11mm', fontWeight: 700, lineHeight: 1.05 }}>
            {bucket.name}
          </Typography>
          <Typography>
            {coating?.kind}, version {bucket.versionNo}
            {coating?.coneLow && coating.coneHigh
              ? `, cone ${formatConeRange({ low: coating.coneLow, high: coating.coneHigh })}`
              : ''}
          </Typography>
          <Typography sx={{ fontSize: '6mm', fontWeight: 650, mt: '3mm' }}>
            {[
              advice.dips === null ? '' : `${advice.dips} ${advice.dips === 1 ? 'dip' : 'dips'}`,
              advice.seconds === null ? '' : `${advice.seconds} s`,
              advice.sg === null ? '' : `SG ${advice.sg.toFixed(2)}`,
            ]
              .filter(Boolean)
              .join(' · ')}
          </Typography>
          {advice.dryingSign !== '' && <Typography>Next coat when {advice.dryingSign}</Typography>}
          {advice.restirMinutes !== null && (
            <Typography>Stir to the bottom, again after {advice.restirMinutes} min</Typography>
          )}
          {coating?.whatItDoes && <Typography sx={{ mt: '2mm' }}>{coating.whatItDoes}</Typography>}
          {bucket.cautions !== '' && (
            <Typography sx={{ mt: '2mm', fontWeight: 650 }}>{bucket.cautions}</Typography>
          )}
          {hazardsOf(materials)
            .filter(({ hazard }) => hazard !== 'dust')
            .map(({ hazard, words, from }) => (
              <Typography key={hazard} variant="body2">
                <b>{from.join(', ')}:</b> {words}
              </Typography>
            ))}
          <Typography variant="body2" sx={{ mt: '2mm' }}>
            Mixed {day(bucket.mixedAt, studio.timeZone)}, {bucket.mixedBy}
          </Typography>
        </Box>
        <Box>
          <Box
            role="img"
            aria-label={`QR code of ${address}`}
            sx={{ '& svg': { width: '100%', display: 'block' } }}
            dangerouslySetInnerHTML={{ __html: svg }}
          />
          <Typography variant="body2">How it fires, its log, its recipe</Typography>
        </Box>
      </Box>
    </Page>
  );
}
