import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { OXIDES } from '@/core/chemistry';
import { listMaterials } from '@/data/materials';
import { permit } from '@/features/people';
import { formatMass } from '@/core/units';
import { unitsOf } from '@/data/studio';
import { formula } from '../words';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import Link from '@/ui/Link';
import { Page } from '@/ui/Page';
import { RowLink } from '@/ui/RowLink';

export async function MaterialsPage() {
  const { studio } = await enter(permit('keep records'));
  const materials = await listMaterials(database());
  return (
    <Page
      title="Materials"
      lead={`${materials.length} materials; ${materials.filter(({ stockG }) => stockG !== null).length} with their stock kept`}
      acts={
        <Button component={Link} href="/store/materials/new" variant="contained">
          Add a material
        </Button>
      }
    >
      {materials.map((material) => (
        <RowLink
          key={material.id}
          href={`/store/materials/${material.slug}`}
          columns={{ xs: '1fr auto', md: '250px 110px 1fr 230px 90px' }}
        >
          <Typography sx={{ fontWeight: 650 }}>{material.name}</Typography>
          <Typography variant="body2" color="text.secondary">
            {material.kind}
          </Typography>
          <Typography variant="body2" sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>
            {material.analysis === null
              ? 'no analysis'
              : OXIDES.filter((oxide) => (material.analysis?.oxides[oxide] ?? 0) >= 1)
                  .map((oxide) => `${formula(oxide)} ${material.analysis?.oxides[oxide]?.toFixed(1)}`)
                  .join(', ')}
          </Typography>
          <Typography variant="body2" sx={{ display: { xs: 'none', md: 'block' } }}>
            {material.hazards.join(', ')}
          </Typography>
          <Typography variant="body2" align="right">
            {material.stockG === null ? '' : formatMass(material.stockG, unitsOf(studio))}
          </Typography>
        </RowLink>
      ))}
    </Page>
  );
}
