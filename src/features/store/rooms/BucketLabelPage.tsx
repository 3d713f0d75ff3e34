import { count } from '@/core/units';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { headers } from 'next/headers';
import QRCode from 'qrcode';
import { formatConeRange } from '@/core/cones';
import { hazardsByMaterial } from '@/core/chemistry';
import { listMaterials } from '@/data/materials';
import { overTls } from '@/platform/peer';
import { bucketRoom } from '../bucket-room';
import { Page } from '@/ui/Page';
import { PrintButton } from '@/ui/PrintButton';
import { day } from '@/ui/time';
import { listCoatings } from '@/data/coatings';
import { cellsOfCoating } from '@/data/board';
import { listBodies } from '@/data/bodies';
import { coneWords } from '@/core/firing';
import { ZonePicture } from '@/ui/ZonePicture';

export async function BucketLabelPage({ params }: { params: Promise<{ id: string }> }) {
  const { studio, db, id, bucket, recipe } = await bucketRoom(params);
  const coating = (await listCoatings(db)).find((one) => one.slug === bucket.coatingSlug);
  const materials = (await listMaterials(db)).filter((one) =>
    recipe?.lines.some((line) => line.materialId === one.id),
  );
  const fired = (await cellsOfCoating(db, bucket.coatingSlug, 40)).find(
    (cell) => cell.over === null && cell.photo !== null && !cell.refired,
  );
  const bodyName = (await listBodies(db)).find(({ id: own }) => own === fired?.bodyId)?.name;
  const head = await headers();
  const host = head.get('host') ?? 'localhost';
  const scheme = (await overTls()) ? 'https' : 'http';
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
          <Typography sx={{ fontSize: '11mm', fontWeight: 700, lineHeight: 1.05 }}>{bucket.name}</Typography>
          <Typography>
            {coating?.kind}, version {bucket.versionNo}
            {coating?.coneLow && coating.coneHigh
              ? `, cone ${formatConeRange({ low: coating.coneLow, high: coating.coneHigh })}`
              : ''}
          </Typography>
          <Typography sx={{ fontSize: '6mm', fontWeight: 650, mt: '3mm' }}>
            {[
              advice.dips === null ? '' : `${count(advice.dips, 'dip')}`,
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
          {hazardsByMaterial(materials, ['dust']).map(({ words, from }) => (
            <Typography key={words} variant="body2">
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
          {fired !== undefined && (
            <Box sx={{ mt: '3mm', printColorAdjust: 'exact' }}>
              <ZonePicture
                sha={fired.photo}
                cut={fired.cut}
                alt={`${coating?.name ?? ''}, fired`}
                sx={{ aspectRatio: '4 / 3' }}
              />
              <Typography variant="body2">
                Fired on {bodyName}, {coneWords({ known: fired.coneKnown, band: fired.cone })},{' '}
                {fired.atmosphere}
              </Typography>
            </Box>
          )}
        </Box>
      </Box>
    </Page>
  );
}
