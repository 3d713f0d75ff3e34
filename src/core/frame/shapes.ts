/**
 * A frame: where a face of a piece lies in a picture. Places are fractions of the picture's width and height,
 * from its top left, so that every size of a picture has the same frame.
 */
import { z } from 'zod';

export const spotSchema = z.object({ x: z.number().min(-0.5).max(1.5), y: z.number().min(-0.5).max(1.5) });
export type Spot = z.infer<typeof spotSchema>;

/** Foot left, foot right, rim right, rim left: as the piece stands, wherever that is in the picture. */
export const cornersSchema = z.object({
  kind: z.literal('corners'),
  corners: z.tuple([spotSchema, spotSchema, spotSchema, spotSchema]),
});

/**
 * A plate or a bowl seen from above. `across` and `along` are the half axes in fractions of the picture's
 * WIDTH, so that a circle has equal ones; `turn` is from the picture's right to the axis `across`, clockwise,
 * in degrees.
 */
export const ellipseSchema = z.object({
  kind: z.literal('ellipse'),
  centre: spotSchema,
  across: z.number().positive().max(1.5),
  along: z.number().positive().max(1.5),
  turn: z.number().min(-180).max(180),
});

export const shapeSchema = z.discriminatedUnion('kind', [cornersSchema, ellipseSchema]);
export type Corners = z.infer<typeof cornersSchema>;
export type Ellipse = z.infer<typeof ellipseSchema>;
export type Shape = z.infer<typeof shapeSchema>;

const cross = (o: Spot, a: Spot, b: Spot): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/**
 * What is wrong with a frame, in words; null when it can be used. Corners must go round the face without
 * crossing, with a bend at each; a face seen from behind or in a mirror goes round the other way and is
 * refused.
 */
export function wrongWith(shape: Shape): string | null {
  if (shape.kind === 'ellipse')
    return Math.min(shape.across, shape.along) < 0.004 ? 'The frame is too small.' : null;
  const turns = shape.corners.map((corner, i) =>
    cross(corner, shape.corners[(i + 1) % 4]!, shape.corners[(i + 2) % 4]!),
  );
  // Downwards is positive in a picture: foot left, foot right, rim right goes against the clock.
  if (turns.every((one) => one > 0))
    return 'The corners go round the wrong way: left and right are exchanged, or foot and rim.';
  if (!turns.every((one) => one < 0))
    return 'The sides of the frame cross each other, or one of its corners is bent inwards.';
  if (areaOf(shape) < 0.0002) return 'The frame is too small.';
  return null;
}

/** Share of the picture (by width and height as 1) that a frame takes. */
export function areaOf(shape: Shape, aspect = 1): number {
  if (shape.kind === 'ellipse') return Math.PI * shape.across * shape.along * aspect;
  let sum = 0;
  shape.corners.forEach((one, i) => {
    const next = shape.corners[(i + 1) % 4]!;
    sum += one.x * next.y - next.x * one.y;
  });
  return Math.abs(sum) / 2;
}

/** The frame with its foot where its left side was: a quarter turn of the piece in the picture. */
export const turned = ({ corners: [a, b, c, d] }: Corners): Corners => ({
  kind: 'corners',
  corners: [d, a, b, c],
});
