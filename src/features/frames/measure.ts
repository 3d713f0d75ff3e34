/** Measures the zones of framed faces in a picture's pixels. */
import { correctionFrom } from '@/core/colour';
import type { Spot } from '@/core/frame';
import { coloursUnder, sharpnessOf, type Raster } from '@/core/sight';
import { zoneKey, type Zone } from '@/core/zones';
import type { FramedColour, NewFrame } from '@/data/frames';
import { stepsSeen, WHY } from './spot';

export type Measurement = { frames: NewFrame[]; byGrey: boolean; why: string | null };

/** The colours of every zone of the framed faces, by the grey where there is one. */
export function measured(
  picture: Raster,
  frames: readonly Omit<NewFrame, 'colours' | 'sharpness'>[],
  zones: readonly Zone[],
  grey: { steps: readonly Spot[] | null; card: readonly number[] | null },
): Measurement {
  const { steps, card } = grey;
  const by = steps === null || card === null ? null : correctionFrom(stepsSeen(picture, steps), card);
  const why =
    steps === null ? WHY['no-card'] : card === null ? WHY.unstated : by?.ok === false ? WHY[by.why] : null;
  const good = by?.ok === true ? by : null;
  return {
    byGrey: good !== null,
    why,
    frames: frames.map((frame) => ({
      ...frame,
      sharpness: sharpnessOf(picture, frame.shape),
      colours: zones
        .filter(({ face }) => face === frame.face)
        .flatMap((zone): FramedColour[] => {
          // Hollows and ridges share their place: nobody can tell from here which is which.
          const alone = zones.every(
            (other) =>
              other === zone || zoneKey({ ...other, relief: '' }) !== zoneKey({ ...zone, relief: '' }),
          );
          const colour = alone ? coloursUnder(picture, frame.shape, zone, good) : null;
          if (colour === null) return [];
          const { lab, parts, variegation, glare } = colour;
          return [{ zone: zoneKey(zone), lab, parts, variegation, glare, byGrey: good !== null }];
        }),
    })),
  };
}
