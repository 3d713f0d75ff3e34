/** The way of a firing. Pure: the page and the server ask the same. */
export const WAY = ['planned', 'loaded', 'firing', 'cooling', 'opened'] as const;
export type Status = (typeof WAY)[number];

/** The verb on the button that takes a firing one step on. */
export const NEXT_ACT: Record<Status, { to: Status; verb: string } | null> = {
  planned: { to: 'loaded', verb: 'Close the load' },
  loaded: { to: 'firing', verb: 'Start firing' },
  firing: { to: 'cooling', verb: 'Firing is done, cooling' },
  cooling: { to: 'opened', verb: 'Open kiln' },
  opened: null,
};

/** One step on is free; back, or over a step, only with a reason. Null when the move may be made. */
export function checkMove(from: Status, to: Status, reason: string): string | null {
  if (from === to) return `It is ${to} already.`;
  const step = WAY.indexOf(to) - WAY.indexOf(from);
  if (step === 1 || reason.trim() !== '') return null;
  return step < 0 ? `Say why it goes back from ${from} to ${to}.` : `Say why ${from} goes straight to ${to}.`;
}
