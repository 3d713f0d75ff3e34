/**
 * A kiln whose wall conducts heat in one dimension: bricks in layers, warmer inside than outside, with
 * conductivity that grows with heat, radiation between ware and wall, and air on the outside. Explicit
 * differences in space and time. It imports nothing from the core.
 */
import type { World } from './terms';

const KELVIN = 273.15;
const STEFAN = 5.67e-8;
const NODES = 14;

export const brickWall: World = (draw) => {
  const thick = draw.between(0.09, 0.23);
  const [k0, kGrows] = [draw.between(0.12, 0.35), draw.between(0, 0.4)];
  const [density, specific] = [draw.between(450, 1000), draw.between(900, 1100)];
  /** Ware and shelves for each square metre of wall, J/(m² K). */
  const ware = draw.between(25, 110) * 1000;
  const outside = draw.between(7, 13);
  const dx = thick / NODES;
  const hours = draw.between(6, 12);
  return {
    cool(load, room, held) {
      let wall: number[] = Array.from({ length: NODES }, () => room);
      let chamber = room;
      const heat = density * specific * dx;
      const most = (k0 * (1 + kGrows)) / dx;
      // A step that keeps the explicit sum steady.
      const dt = Math.min(10, (0.35 * heat) / (2 * most + 60));
      const step = (forced: number | null): void => {
        const k = (c: number): number => k0 * (1 + (kGrows * c) / 1000);
        const next = [...wall];
        const [a, b] = [chamber + KELVIN, wall[0]! + KELVIN];
        const radiated = 0.8 * STEFAN * (a ** 4 - b ** 4) + 5 * (chamber - wall[0]!);
        for (let i = 0; i < NODES; i++) {
          const into =
            i === 0 ? radiated : (k((wall[i - 1]! + wall[i]!) / 2) * (wall[i - 1]! - wall[i]!)) / dx;
          const out =
            i === NODES - 1
              ? outside * (wall[i]! - room)
              : (k((wall[i]! + wall[i + 1]!) / 2) * (wall[i]! - wall[i + 1]!)) / dx;
          next[i] = wall[i]! + ((into - out) / heat) * dt;
        }
        chamber = forced ?? chamber - (radiated / (ware * load)) * dt;
        wall = next;
      };
      const top = 1000 + 250 * (load - 0.7);
      for (let t = 0; t < hours * 3600; t += dt) step(room + ((top - room) * t) / (hours * 3600));
      return held.follow((forced) => {
        for (let t = 0; t < 60; t += dt) step(forced);
        return chamber;
      }, top);
    },
  };
};
