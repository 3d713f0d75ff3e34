import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { compareCones, formatCone } from '@/core/cones';
import type { Witness } from '@/data/witnesses';
import { ConeDrawing } from './Glyph';

/** The witness cones of a firing as they bent, coolest first; one place after another. */
export function ConeRow({
  cones,
  size = 40,
  places = false,
}: {
  cones: readonly Witness[];
  size?: number;
  places?: boolean;
}) {
  const byPlace = new Map<string, Witness[]>();
  for (const cone of cones) byPlace.set(cone.place, [...(byPlace.get(cone.place) ?? []), cone]);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, rowGap: 0.5 }}>
      {[...byPlace].map(([place, group]) => (
        <Box key={place}>
          <Box sx={{ display: 'flex' }}>
            {[...group]
              .sort((a, b) => compareCones(a.cone, b.cone))
              .map((cone) => (
                <Box key={cone.id} sx={{ textAlign: 'center', lineHeight: 1 }}>
                  <ConeDrawing cone={formatCone(cone.cone)} bend={cone.bendDegrees} size={size} />
                  <Typography variant="caption" component="div" sx={{ fontWeight: 650, lineHeight: 1.1 }}>
                    {formatCone(cone.cone)}
                  </Typography>
                </Box>
              ))}
          </Box>
          {places && (
            <Typography variant="body2" color="text.secondary" sx={{ textAlign: 'center' }}>
              {place}
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}
