'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { PlannedTile } from '@/core/designs';
import { EVERYWHERE, type Layer } from '@/core/zones';
import { Silhouette, paintsOf } from '../../drawings';
import type { CoatingChoice } from '../../pieces';

/** One tile of the design as it will be glazed: which coat goes where. */
export function Sample({
  tile,
  faces,
  coatings,
  body,
  words,
}: {
  tile: PlannedTile | undefined;
  faces: readonly { no: number; kind: string; surface?: string | null }[];
  coatings: readonly CoatingChoice[];
  body: string;
  /** A label in the studio’s names. */
  words: (label: string) => string;
}) {
  const layers = (tile?.layers ?? []).flatMap(({ coat, stretch, ...layer }): Layer[] => {
    const coating = coatings.find(({ versionId }) => versionId === coat);
    return coating === undefined
      ? []
      : [
          {
            ...layer,
            coat: {
              slug: coating.slug,
              version: coating.version,
              kind: coating.kind as Layer['coat']['kind'],
            },
            thicknessMm: null,
            driedBefore: null,
            generation: 1,
            region: { ...EVERYWHERE, stretch },
          },
        ];
  });
  if (tile === undefined || layers.length < 2) return null;
  return (
    <Box
      sx={{
        mt: 1.5,
        bgcolor: 'booth.ground',
        color: 'booth.ink',
        p: 1.5,
        display: 'flex',
        gap: 2,
        alignItems: 'center',
      }}
    >
      <Silhouette
        faces={faces.map((face) => ({
          no: face.no,
          kind: face.kind as 'bare',
          slip: null,
          ...(face.surface != null && { surface: face.surface as 'outside' }),
        }))}
        layers={layers}
        paints={paintsOf(body, coatings)}
        height={150}
      />
      <Typography>
        One of them, {tile.no}: {words(tile.label)}
      </Typography>
    </Box>
  );
}
