import type { Layer } from '../zones';

/** What is known of how a piece came to be fired, apart from its stack and ground. */
export type History = {
  /** Null where nobody knows which. */
  kiln: string | null;
  firing: string;
  kind: string;
  /** How full the kiln was fired; null or left out where nobody said. */
  fullness?: string | null;
  shelf: number | null;
  setting: string;
  generation: number;
  form: string;
  lot: string | null;
  layers: readonly Layer[];
};

/** Circumstances that all pieces of a firing share: they are counted by firings, never by pieces. */
export const FIRINGS_OWN: ReadonlySet<string> = new Set(['kiln', 'firing', 'how full']);

/** Under which name it stands how long each coat was held. */
export const SECONDS = 'seconds in the bucket';

/**
 * How long a piece was held in all, as it stands under that name ("3 s then 9 s"); null where nobody wrote it
 * down.
 */
export const secondsTold = (held: string | null): number | null =>
  held === null ? null : held.split(' then ').reduce((sum, part) => sum + Number.parseFloat(part), 0);

/**
 * The recorded circumstances of a piece by name, for telling disagreeing pieces apart.
 * What is unknown has no entry, so that it is never taken for a difference.
 */
export function circumstances(history: History): Record<string, string> {
  const found: Record<string, string> = {
    firing: history.firing,
    form: history.form,
    'times glaze-fired': String(history.generation),
  };
  if (history.kiln !== null) found.kiln = history.kiln;
  if (history.fullness != null) found['how full'] = history.fullness;
  if (history.shelf !== null) found.shelf = String(history.shelf);
  if (history.setting !== 'unknown') found['stood on'] = history.setting;
  if (history.lot !== null) found.lot = history.lot;
  const seconds = history.layers.flatMap((layer) => (layer.seconds === null ? [] : [`${layer.seconds} s`]));
  if (seconds.length > 0) found[SECONDS] = seconds.join(' then ');
  const dried = history.layers.flatMap((layer) => (layer.driedBefore === null ? [] : [layer.driedBefore]));
  if (dried.length > 0) found['dried between coats'] = dried.every(Boolean) ? 'yes' : 'no';
  const stages = [...new Set(history.layers.map((layer) => layer.stage))];
  if (stages.length > 0) found['put on at'] = stages.join(', ');
  return found;
}
