'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { hasRings } from '@/core/designs';
import { ontoFaces, touched, zonesAt, type FramedHere, type Point, type SeenSign } from '@/core/looks';
import { signOf } from '@/core/signs';
import { describeRegion, describeZone, zonesOf } from '@/core/zones';
import { pictureUrl } from '@/ui/picture-url';
import { Silhouette, namesOf, within, type Paints } from '../../drawings';
import { useFrames } from '../../frames';
import type { RoomPiece } from '../room';
import type { Shot } from '../useLoad';

/** Where a sign is: touch the drawing or the picture, touch a mark again to take it away. Nobody has to. */
export function WherePad({
  sign,
  piece,
  paints,
  shot,
  onPoints,
}: {
  sign: SeenSign;
  piece: Pick<RoomPiece, 'id' | 'code' | 'faces' | 'layers' | 'form' | 'generation'>;
  paints: Paints;
  /** Its newest picture; only one that the studio has can bear a mark. */
  shot: Shot | undefined;
  onPoints: (points: Point[]) => void;
}) {
  const points = sign.points ?? [];
  const name = signOf(sign.sign)?.name.toLowerCase() ?? sign.sign;
  const touch = (point: Point): void => onPoints(touched(points, point));
  const sha = shot !== undefined && 'sha' in shot ? shot.sha : null;
  const { photo } = useFrames(piece.id, sha);
  const places = placesOf(points, piece, photo === null ? [] : [photo], paints);
  return (
    <Box role="group" aria-label={`Where: ${name}`} sx={{ mt: 1 }}>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Where is it? Touch the drawing{sha === null ? '' : ' or the picture'}.{' '}
        {points.length > 0 && (
          <Button size="small" onClick={() => onPoints([])}>
            Nowhere in particular
          </Button>
        )}
      </Typography>
      {places.length > 0 && (
        <Typography variant="body2" sx={{ mb: 0.5, fontWeight: 650 }}>
          {places.join('; ')}
        </Typography>
      )}
      <Box
        sx={{
          display: 'flex',
          gap: 1,
          p: 1,
          alignItems: 'flex-start',
          bgcolor: 'booth.ground',
          color: 'booth.ink',
          overflowX: 'auto',
        }}
      >
        <Silhouette
          faces={piece.faces}
          layers={piece.layers}
          paints={paints}
          form={piece.form}
          height={200}
          points={points}
          onPoint={touch}
        />
        {sha !== null && (
          <Box
            component="button"
            type="button"
            aria-label={`Where on the picture of ${piece.code}`}
            onClick={(event) => touch({ face: null, sha, ...within(event) })}
            sx={{ position: 'relative', p: 0, border: 0, background: 'none', cursor: 'crosshair' }}
          >
            {/* eslint-disable-next-line @next/next/no-img-element -- a touch is measured on the picture itself */}
            <img
              src={pictureUrl(sha, 'medium')}
              alt=""
              style={{ display: 'block', height: 200, maxWidth: 'none' }}
            />
            {points
              .filter((point) => point.sha === sha)
              .map((point, i) => (
                <Box
                  key={i}
                  component="span"
                  sx={{
                    position: 'absolute',
                    left: `${100 * point.x}%`,
                    top: `${100 * point.y}%`,
                    width: 14,
                    height: 14,
                    m: '-7px',
                    borderRadius: '50%',
                    border: '2px solid #000',
                    outline: '2px solid #fff',
                    pointerEvents: 'none',
                  }}
                />
              ))}
          </Box>
        )}
      </Box>
    </Box>
  );
}

/**
 * In which zones the touches lie, each once: "Tarn over Gull, middle third"; of a picture only where it is
 * framed.
 */
function placesOf(
  points: readonly Point[],
  { faces, layers, form, generation }: Pick<RoomPiece, 'faces' | 'layers' | 'form' | 'generation'>,
  pictures: readonly FramedHere[],
  paints: Paints,
): string[] {
  const rings = (no: number): boolean =>
    hasRings(form, faces.find((face) => face.no === no)?.surface ?? null);
  const zones = zonesOf(faces, layers, generation);
  const words = ontoFaces(points, pictures, rings).flatMap((point) =>
    point.face === null
      ? []
      : zonesAt(zones, point, rings(point.face)).map((zone) => {
          const face = faces.find(({ no }) => no === zone.face)!;
          return `${describeZone(zone, face, namesOf(paints))}, ${describeRegion(zone)}`;
        }),
  );
  return [...new Set(words)];
}
