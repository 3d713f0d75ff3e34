/**
 * Kilns that cool by heat stores: heat goes from the ware through the lining to the room, and some
 * straight out of the chamber. Two stores (as the demo's kiln has), three, and a brick kiln under a
 * fibre lid that loses much while it is hot. They import nothing from the core.
 */
import type { Draw } from '../watched/random';
import type { World } from './terms';

const KELVIN = 273.15;

/** Seconds of one inner step; heat stores are slow. */
const STEP = 20;

/** Three heat stores; the third may be nearly nothing. kJ/K and kW/K. */
type Stores = {
  heat: readonly [number, number, number];
  through: readonly [number, number, number];
  /** Straight from the chamber to the room, and how fast that grows with its heat (0: not at all). */
  leak: number;
  leakGrows: number;
};

function world(make: (draw: Draw) => Stores, hours: readonly [number, number]): World {
  return (draw) => {
    const kiln = make(draw);
    return {
      cool(load, room, held) {
        const heat = [kiln.heat[0] * load, kiln.heat[1], kiln.heat[2]];
        let at = [room, room, room];
        const step = (chamber: number | null): void => {
          const next = [...at];
          const flow = [
            kiln.through[0] * (at[0]! - at[1]!),
            kiln.through[1] * (at[1]! - at[2]!),
            kiln.through[2] * (at[2]! - room),
          ];
          const lost = kiln.leak * (1 + kiln.leakGrows * ((at[0]! + KELVIN) / 1000) ** 3) * (at[0]! - room);
          next[0] = chamber ?? at[0]! - ((flow[0]! + lost) / heat[0]!) * STEP;
          next[1] = at[1]! + ((flow[0]! - flow[1]!) / heat[1]!) * STEP;
          next[2] = at[2]! + ((flow[1]! - flow[2]!) / heat[2]!) * STEP;
          at = next;
        };
        // Heated evenly to its top, as a program does it.
        const top = 1000 + 250 * (load - 0.7);
        const climb = ((hours[0] + hours[1]) / 2) * 3600;
        for (let t = 0; t < climb; t += STEP) step(room + ((top - room) * t) / climb);
        return held.follow((chamber) => {
          for (let t = 0; t < 60; t += STEP) step(chamber);
          return at[0]!;
        }, top);
      },
    };
  };
}

/** A chamber and its brick, as the demo's kiln is built, with other figures each time. */
export const ownStandIn: World = world(
  (draw) => ({
    // The third is a thin skin that holds next to nothing.
    heat: [draw.between(40, 90), draw.between(80, 160), 10],
    through: [draw.between(0.03, 0.06), draw.between(0.005, 0.01), 0.2],
    leak: 0,
    leakGrows: 0,
  }),
  [7, 11],
);

/** Ware and shelves, the inner lining, the outer one. */
export const threeStores: World = world(
  (draw) => ({
    heat: [draw.between(25, 70), draw.between(40, 120), draw.between(40, 200)],
    through: [draw.between(0.03, 0.09), draw.between(0.01, 0.04), draw.between(0.006, 0.02)],
    leak: draw.between(0, 0.003),
    leakGrows: draw.between(0, 1),
  }),
  [6, 12],
);

/** Brick walls, and a lid of fibre through which much goes while it glows. */
export const fibreLid: World = world(
  (draw) => ({
    heat: [draw.between(30, 80), draw.between(40, 130), draw.between(20, 80)],
    through: [draw.between(0.03, 0.07), draw.between(0.008, 0.02), draw.between(0.006, 0.015)],
    leak: draw.between(0.002, 0.008),
    leakGrows: draw.between(0.5, 2),
  }),
  [5, 10],
);
