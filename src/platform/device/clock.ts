/**
 * The clock of this device beside the studio's. Phones are wrong by minutes, and some by a day: what is
 * written without a network bears the moment by the studio's clock, as far as the difference was ever
 * measured.
 */
const KEY = 'jiten-clock-ahead';
/** A server says its time in whole seconds: a smaller difference is none. */
const UNSURE_MS = 2000;

let ahead: number | null = null;

/** Reads the difference from an answer's date: half-way between asking and hearing the server said it. */
export function noteClock(date: string | null, asked: number, heard: number): void {
  const server = date === null ? Number.NaN : Date.parse(date);
  if (Number.isNaN(server)) return;
  // The whole second that was named has half a second behind it, on the average.
  const measured = (asked + heard) / 2 - (server + 500);
  ahead = Math.abs(measured) < UNSURE_MS ? 0 : Math.round(measured);
  try {
    localStorage.setItem(KEY, String(ahead));
  } catch {
    // Without storage it holds as long as the page.
  }
}

/** By how many ms this device's clock is ahead of the studio's; null while it was never measured. */
export function clockAhead(): number | null {
  if (ahead !== null) return ahead;
  try {
    const kept = localStorage.getItem(KEY);
    ahead = kept === null ? null : Number(kept);
  } catch {
    ahead = null;
  }
  return ahead;
}

/** Now, by the studio's clock as well as it is known here; ms since 1970. */
export const studioNow = (): number => Date.now() - (clockAhead() ?? 0);
