/**
 * The frames that the demo’s people accepted in its pictures: where the faces were painted, measured as any
 * picture is.
 */
import type { Corners } from '../src/core/frame';
import type { Zone } from '../src/core/zones';
import { replaceFrames, type NewFrame } from '../src/data/frames';
import type { Transaction } from '../src/data/database';
import { COLOUR_METHOD } from '../src/core/colour';
import { FRAME_METHOD } from '../src/core/sight';
import { measured } from '../src/features/frames/measure';
import { HEIGHT, WIDTH } from './canvas';
import { boxesFor, GREY_CARD, GREY_STEPS } from './paint';

export type MeasuredFrame = NewFrame;

/** What has to be known of a piece to frame its picture: its faces from left to right, and its zones. */
export type Framing = { faces: number[]; zones: Zone[] };

/** Frames of all faces of a painted picture, with the colours of their zones. */
export function framesIn(pixels: Uint8ClampedArray, { faces, zones }: Framing): MeasuredFrame[] {
  const frames = boxesFor(faces.length).map(({ left, top, width, height }, i) => {
    const [right, bottom] = [left + width, top + height];
    const shape: Corners = {
      kind: 'corners',
      corners: [
        { x: left / WIDTH, y: bottom / HEIGHT },
        { x: right / WIDTH, y: bottom / HEIGHT },
        { x: right / WIDTH, y: top / HEIGHT },
        { x: left / WIDTH, y: top / HEIGHT },
      ],
    };
    return { face: faces[i]!, shape, guessed: true };
  });
  const picture = { width: WIDTH, height: HEIGHT, channels: 3 as const, data: pixels };
  return measured(picture, frames, zones, { steps: GREY_STEPS, card: GREY_CARD }).frames;
}

/** Keeps them. */
export async function keepFrames(
  trx: Transaction,
  photoId: string,
  frames: readonly MeasuredFrame[],
  by: string,
  now: Date,
): Promise<void> {
  if (frames.length === 0) return;
  const grey = { steps: GREY_STEPS, card: GREY_CARD };
  await replaceFrames(
    trx,
    photoId,
    { frames, grey, unframed: false, frameMethod: FRAME_METHOD, colourMethod: COLOUR_METHOD },
    by,
    now,
  );
}
