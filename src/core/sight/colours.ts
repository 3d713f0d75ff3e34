/** The colours of a framed face's zones, by the grey of its picture. */
import { coloursOf, LINEAR, type Corrected, type Linear, type ZoneColour } from '../colour';
import { spotsOf, type Shape } from '../frame';
import type { Sector, Stretch } from '../zones';
import type { Raster } from './field';

/** Share of a zone's spots that may have run into white or black before nothing is said of it. */
const BURNT = 0.35;

/** Mean light of the pixels about a place; null outside the picture, or where a channel ran into white. */
function lightAt({ width, height, channels, data }: Raster, x: number, y: number): Linear | 'burnt' | null {
  const [cx, cy] = [Math.floor(x * width), Math.floor(y * height)];
  if (cx < 1 || cy < 1 || cx >= width - 1 || cy >= height - 1) return null;
  let [r, g, b] = [0, 0, 0];
  for (let py = cy - 1; py <= cy + 1; py++)
    for (let px = cx - 1; px <= cx + 1; px++) {
      const p = (py * width + px) * channels;
      if (Math.max(data[p]!, data[p + 1]!, data[p + 2]!) >= 253) return 'burnt';
      r += LINEAR[data[p]!]!;
      g += LINEAR[data[p + 1]!]!;
      b += LINEAR[data[p + 2]!]!;
    }
  return [r / 9, g / 9, b / 9];
}

/**
 * The colours of a part of a framed face. Without a correction they are as the picture shows them, and to be
 * compared with nothing. Null where too little of it is in the picture, or too much of it has run into white.
 */
export function coloursUnder(
  picture: Raster,
  shape: Shape,
  part: { stretch: Stretch; sector: Sector },
  by: Extract<Corrected, { ok: true }> | null,
): ZoneColour | null {
  const aspect = picture.height / picture.width;
  const spots = spotsOf(shape, part, aspect);
  const lights: Linear[] = [];
  let burnt = 0;
  for (const { x, y } of spots) {
    const seen = lightAt(picture, x, y);
    if (seen === 'burnt' || (seen !== null && by?.most.some((most, c) => seen[c]! > most))) burnt++;
    else if (seen !== null) lights.push(by === null ? seen : by.correct(seen));
  }
  if (burnt > BURNT * spots.length || lights.length < spots.length / 3) return null;
  const found = coloursOf(lights);
  // A tenth of the spots that ran into white are as many mirrored lamps.
  return found && { ...found, glare: (found.glare * lights.length + burnt) / (lights.length + burnt) };
}
