'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useWatch, type Control } from 'react-hook-form';
import { count } from '@/core/units';
import { matrixTiles } from '@/core/designs';
import type { Coat, Layer } from '@/core/zones';
import { Silhouette, paintsOf } from '../../drawings';
import type { CoatingChoice } from '../../pieces';
import type { BodyChoice } from './MakeForm';
import type { MatrixInput } from '../contracts';

/** The tiles that the choices so far make. */
export function usePlannedTiles(control: Control<MatrixInput>, coatings: readonly CoatingChoice[]) {
  const values = useWatch({ control });
  const coat = (versionId: string): (Coat & { name: string }) | null => {
    const one = coatings.find((choice) => choice.versionId === versionId);
    return one
      ? { slug: one.slug, version: one.version, kind: one.kind as Coat['kind'], name: one.name }
      : null;
  };
  const coats = (ids: readonly (string | undefined)[] = []) =>
    ids.flatMap((id) => coat(id ?? '') ?? []);
  const repeats = Number.isInteger(values.repeats)
    ? Math.min(Math.max(values.repeats as number, 1), 5)
    : 1;
  const bases = coats(values.bases);
  const overs = coats(values.overs);
  const tiles = matrixTiles({
    bases,
    overs,
    base: values.base as MatrixInput['base'],
    over: values.over as MatrixInput['over'],
    bothOrders: Boolean(values.bothOrders),
    alone: Boolean(values.alone),
    repeats,
  });
  const bodies = values.bodyIds?.length ?? 0;
  return {
    tiles,
    count: tiles.length * bodies,
    bases,
    overs,
    bodies,
    faces: values.faces ?? [],
    bodyId: values.bodyIds?.[0],
  };
}

/** The matrix so far: how many tiles, the board in small, and one tile drawn. */
export function MatrixPreview({
  plan,
  coatings,
  bodies,
}: {
  plan: ReturnType<typeof usePlannedTiles>;
  coatings: readonly CoatingChoice[];
  bodies: readonly BodyChoice[];
}) {
  const { tiles, bases, overs, bodies: bodyCount, faces, bodyId } = plan;
  const sample = tiles.find((tile) => tile.over !== null) ?? tiles[0];
  const colour = (slug: string): string =>
    coatings.find((one) => one.slug === slug)?.colour ?? '#888888';
  return (
    <Box sx={{ position: { md: 'sticky' }, top: 24, alignSelf: 'start' }}>
      <Box
        sx={{
          bgcolor: 'booth.ground',
          color: 'booth.ink',
          p: 2,
          minHeight: 200,
        }}
      >
        <Typography sx={{ fontSize: '2rem', fontWeight: 700, lineHeight: 1 }}>
          {count(plan.count, 'tile')}
        </Typography>
        <Typography sx={{ mb: 2 }}>
          {bases.length} × {overs.length}
          {bodyCount > 1 ? `, on ${bodyCount} bodies` : ''}
        </Typography>
        <Box
          sx={{
            display: 'grid',
            gap: '3px',
            gridTemplateColumns: `repeat(${Math.max(1, overs.length)}, minmax(8px, 28px))`,
          }}
          aria-hidden
        >
          {bases.flatMap((base) =>
            overs.map((over) => (
              <Box
                key={`${base.slug}/${over.slug}`}
                sx={{
                  aspectRatio: '3/4',
                  border: '1px solid #111',
                  background:
                    base.slug === over.slug
                      ? 'transparent'
                      : `linear-gradient(${colour(over.slug)} 0 50%, ${colour(base.slug)} 50%)`,
                }}
              />
            )),
          )}
        </Box>
        {sample && (
          <Box sx={{ mt: 2 }}>
            <Silhouette
              faces={faces.map((face) => ({
                no: face.no ?? 1,
                kind: face.kind ?? 'bare',
                slip: null,
              }))}
              layers={sample.layers as Layer[]}
              paints={paintsOf(
                bodies.find((body) => body.id === bodyId)?.colour ?? '#cccccc',
                coatings,
              )}
              height={210}
            />
            <Typography variant="body2">
              One of them:{' '}
              {sample.over
                ? `${sample.over.name} over ${sample.base.name}`
                : `${sample.base.name} by itself`}
            </Typography>
          </Box>
        )}
      </Box>
    </Box>
  );
}
