import type { Draw } from '../watched/random';

/** A temperature at a moment: seconds, °C. */
export type Read = { t: number; c: number };

/** Takes a kiln minute by minute from its top to cold; the program may hold it on the way. */
export type Held = {
  /** `minute(c)` lets a minute pass with the chamber at `c`, or by itself when null; it answers with °C. */
  follow(minute: (chamber: number | null) => number, top: number): Read[];
};

export type CoolingKiln = {
  /** A cooling of it with a load (1: the usual mass) in a room of so many °C: a truth each minute. */
  cool(load: number, room: number, held: Held): Read[];
};

export type World = (draw: Draw) => CoolingKiln;

/** The coldest a truth goes on to, °C above the room; and how long at most, minutes. */
const COLD_ABOVE = 12;
const LONGEST = 6 * 24 * 60;

/** A cooling that is left alone, or held for some minutes when it comes by a temperature. */
export const holding = (hold: { at: number; minutes: number } | null, room: number): Held => ({
  follow(minute, top) {
    const log: Read[] = [{ t: 0, c: top }];
    let left = hold?.minutes ?? 0;
    for (let i = 1; i <= LONGEST; i++) {
      const last = log.at(-1)!.c;
      const now = hold !== null && last <= hold.at && left > 0;
      if (now) left -= 1;
      log.push({ t: i * 60, c: minute(now ? hold.at : null) });
      if (log.at(-1)!.c < room + COLD_ABOVE) break;
    }
    return log;
  },
});
