/** A picture of which only a part is kept: where its frames and spots lie then. */
import { z } from 'zod';
import { outlineOf } from './place';
import type { Corners, Shape, Spot } from './shapes';

/** The part that is kept, as fractions of the picture. */
export const boxSchema = z
  .object({
    x: z.number().min(0).max(0.95),
    y: z.number().min(0).max(0.95),
    width: z.number().min(0.05).max(1),
    height: z.number().min(0.05).max(1),
  })
  .refine(({ x, width }) => x + width <= 1.0001, 'The part lies outside the picture.')
  .refine(({ y, height }) => y + height <= 1.0001, 'The part lies outside the picture.')
  .refine(
    ({ width, height }) => width < 0.9999 || height < 0.9999,
    'Say what is cut away: this is the whole picture.',
  );
export type Box = z.infer<typeof boxSchema>;

export const spotIn = ({ x, y }: Spot, box: Box): Spot => ({
  x: (x - box.x) / box.width,
  y: (y - box.y) / box.height,
});

/** The same frame in what is kept. */
export function shapeIn(shape: Shape, box: Box): Shape {
  if (shape.kind === 'corners')
    return { ...shape, corners: shape.corners.map((one) => spotIn(one, box)) as Corners['corners'] };
  const { centre, across, along } = shape;
  return { ...shape, centre: spotIn(centre, box), across: across / box.width, along: along / box.width };
}

const WHOLE = { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } };
/** A frame may reach over the edge by so much. */
const SLACK = 0.03;

/** A part of a framed face would be cut away. */
export const cutsInto = (shape: Shape, box: Box, aspect: number): boolean =>
  outlineOf(shape, WHOLE, aspect)
    .map((one) => spotIn(one, box))
    .some(({ x, y }) => x < -SLACK || y < -SLACK || x > 1 + SLACK || y > 1 + SLACK);
