/** A small picture in memory, and what can be put on it. */
import type { Rgb } from './truth';

export const WIDTH = 360;
export const HEIGHT = 480;

export class Canvas {
  readonly data = new Uint8ClampedArray(WIDTH * HEIGHT * 3);

  set(x: number, y: number, r: number, g: number, b: number): void {
    if (x < 0 || y < 0 || x >= WIDTH || y >= HEIGHT) return;
    const i = (y * WIDTH + x) * 3;
    this.data[i] = r;
    this.data[i + 1] = g;
    this.data[i + 2] = b;
  }

  /** Lays a colour over what is there. */
  blend(x: number, y: number, colour: Rgb, share: number): void {
    if (x < 0 || y < 0 || x >= WIDTH || y >= HEIGHT) return;
    const i = (Math.floor(y) * WIDTH + Math.floor(x)) * 3;
    for (let c = 0; c < 3; c++) this.data[i + c] = this.data[i + c]! * (1 - share) + colour[c]! * share;
  }

  disc(cx: number, cy: number, radius: number, colour: Rgb, share: number): void {
    for (let y = Math.floor(cy - radius); y <= cy + radius; y++) {
      for (let x = Math.floor(cx - radius); x <= cx + radius; x++) {
        const d = Math.hypot(x - cx, y - cy) / radius;
        if (d <= 1) this.blend(x, y, colour, share * Math.min(1, (1 - d) * 3));
      }
    }
  }
}
