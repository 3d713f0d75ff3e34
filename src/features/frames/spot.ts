/** Light and colour at places of a picture: light enough for a browser’s page. */
import { correctionFrom, labOfLinear, LINEAR, type Lab, type Linear } from '@/core/colour';
import type { Spot } from '@/core/frame';
import type { Raster } from '@/core/sight';

/**
 * How large the part of a step is that is looked at, by how far the steps lie apart; of one alone, by the
 * picture.
 */
const PART = 0.26;
const ALONE = 0.008;

/** Middle light around a spot, the darker and lighter quarter of it left out. */
function lightAround({ width, height, channels, data }: Raster, at: Spot, radius: number): Linear {
  const values: [number[], number[], number[]] = [[], [], []];
  const r = Math.max(1, Math.round(radius));
  const [cx, cy] = [Math.round(at.x * width), Math.round(at.y * height)];
  for (let y = Math.max(0, cy - r); y <= Math.min(height - 1, cy + r); y++)
    for (let x = Math.max(0, cx - r); x <= Math.min(width - 1, cx + r); x++)
      for (let c = 0; c < 3; c++) values[c]!.push(data[(y * width + x) * channels + c]!);
  return values.map((list) => {
    const sorted = list.sort((a, b) => a - b);
    const half = sorted.slice(Math.floor(sorted.length / 4), Math.ceil((3 * sorted.length) / 4));
    return half.reduce((sum, v) => sum + LINEAR[v]!, 0) / Math.max(1, half.length);
  }) as unknown as Linear;
}

/** The light of a card's steps as the picture shows it. */
export function stepsSeen(picture: Raster, steps: readonly Spot[]): { seen: Linear }[] {
  const apart =
    steps.length < 2
      ? ALONE * picture.width
      : PART *
        Math.hypot((steps[1]!.x - steps[0]!.x) * picture.width, (steps[1]!.y - steps[0]!.y) * picture.height);
  return steps.map((at) => ({ seen: lightAround(picture, at, apart) }));
}

export const WHY = {
  'no-card': 'no grey card in the picture',
  unstated: 'the studio has not said what its grey card is',
  burnt: 'the grey card has run into white',
  dark: 'the grey card is too dark',
  'not-the-card': 'what was taken for the grey card is not it',
} as const;

/** How large the part of a picture is that a touch means, as a share of its width. */
const SPOT = 0.012;

/** The colour at a touched spot: by the grey where there is one, else as the picture shows it. */
export function spotColour(
  picture: Raster,
  at: Spot,
  { steps, card }: { steps: readonly Spot[] | null; card: readonly number[] | null },
): { lab: Lab; byGrey: boolean; why: string | null } {
  const by = steps === null || card === null ? null : correctionFrom(stepsSeen(picture, steps), card);
  const why =
    steps === null ? WHY['no-card'] : card === null ? WHY.unstated : by?.ok === false ? WHY[by.why] : null;
  const seen = lightAround(picture, at, SPOT * picture.width);
  if (by?.ok !== true) return { lab: labOfLinear(seen), byGrey: false, why };
  // Beyond the card’s lightest step nobody knows what the light means.
  if (seen.some((light, c) => light > by.most[c]!))
    return { lab: labOfLinear(seen), byGrey: false, why: 'this spot has run into white' };
  return { lab: labOfLinear(by.correct(seen)), byGrey: true, why: null };
}
