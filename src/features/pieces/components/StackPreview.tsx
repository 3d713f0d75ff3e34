'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useFormContext, useWatch } from 'react-hook-form';
import type { Coat, Face, Layer } from '@/core/zones';
import { Silhouette, paintsOf, zoneLines } from '../../drawings';
import type { CoatingChoice, LayersForm } from './LayerEditor';

/** Form values to what the core works on; half-filled layers are passed over. */
export function asLayers(
  form: Pick<LayersForm, 'layers' | 'faces'>,
  coatings: readonly CoatingChoice[],
): { faces: Face[]; layers: Layer[] } {
  const coats = new Map(
    coatings.map((one) => [one.versionId, { slug: one.slug, version: one.version, kind: one.kind } as Coat]),
  );
  return {
    faces: form.faces.map((face) => ({
      no: face.no,
      kind: face.kind as Face['kind'],
      slip: face.slipVersionId ? (coats.get(face.slipVersionId) ?? null) : null,
      surface: face.surface ?? null,
    })),
    layers: form.layers.flatMap(({ coatingVersionId, ...layer }) => {
      const coat = coats.get(coatingVersionId);
      return coat === undefined || !Number.isFinite(layer.coats)
        ? []
        : [{ ...layer, coat, generation: layer.generation ?? 1 } as Layer];
    }),
  };
}

/** The piece as entered so far: its bands drawn, and said in words. */
export function StackPreview({
  coatings,
  bodyColour,
  form,
}: {
  coatings: readonly CoatingChoice[];
  bodyColour: string;
  form: string;
}) {
  const { control } = useFormContext<LayersForm>();
  const [layers, faces] = useWatch({ control, name: ['layers', 'faces'] });
  const piece = asLayers({ layers: layers ?? [], faces: faces ?? [] }, coatings);
  const paints = paintsOf(bodyColour, coatings);
  return (
    <Box sx={{ position: { md: 'sticky' }, top: 24 }}>
      <Box
        sx={{
          bgcolor: 'booth.ground',
          color: 'booth.ink',
          p: 2,
          display: 'flex',
          justifyContent: 'center',
        }}
      >
        <Silhouette faces={piece.faces} layers={piece.layers} paints={paints} height={270} form={form} />
      </Box>
      <Box component="dl" sx={{ m: 0, mt: 1 }}>
        {zoneLines(piece.faces, piece.layers, paints).map((line) => (
          <Box
            key={line.key}
            sx={{
              display: 'grid',
              gridTemplateColumns: '1fr',
              borderBottom: '1px solid',
              borderColor: 'divider',
              py: 0.75,
            }}
          >
            <Typography component="dt" variant="body2" color="text.secondary">
              {line.where}
              {line.ground === '' || line.where.startsWith(line.ground)
                ? ''
                : `, on ${line.ground.replace(/#\d+/g, '')}`}
            </Typography>
            <Typography component="dd" sx={{ m: 0, fontWeight: 600 }}>
              {line.what}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
