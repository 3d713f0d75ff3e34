/** Pictures of a folder, given to the pieces of a firing in the order in which both were dealt with. */
import type { KeyKnown } from '@/core/zones';

export type Taken = {
  name: string;
  /** By the camera's clock, in milliseconds; null where it does not say. */ at: number | null;
};

/**
 * Indices in the order of taking: by the camera's clock where every picture has it, else by name as a camera
 * counts.
 */
export function orderOfTaking(files: readonly Taken[]): number[] {
  const clock = files.every(({ at }) => at !== null);
  const by = new Intl.Collator('en', { numeric: true });
  return files
    .map((_, i) => i)
    .sort(
      (i, k) =>
        (clock ? files[i]!.at! - files[k]!.at! : 0) || by.compare(files[i]!.name, files[k]!.name) || i - k,
    );
}

/**
 * What is known of a picture before its place in the order speaks: its piece, that it is of none of them, or
 * nothing.
 */
export type Known = { pieceId: string } | 'none' | null;
export type InOrder = { pieceId: string | null; key: KeyKnown; why: string };

/** A stretch of pictures of which nothing is known, between two that are: by their places in both orders. */
type Stretch = { open: number[]; from: number; to: number };

function stretchesOf(
  pictures: readonly Known[],
  place: ReadonlyMap<string, number>,
  last: number,
): Stretch[] {
  const stretches: Stretch[] = [];
  let now: Stretch = { open: [], from: 0, to: last };
  pictures.forEach((one, i) => {
    if (one === null) return void now.open.push(i);
    const at = one === 'none' ? undefined : place.get(one.pieceId);
    if (at === undefined) return;
    stretches.push({ ...now, to: at });
    now = { open: [], from: at, to: last };
  });
  return [...stretches, now].filter(({ open }) => open.length > 0);
}

const unknown = (why: string): InOrder => ({ pieceId: null, key: 'lost', why });

/**
 * Gives pictures in the order of taking to pieces in theirs, `each` pictures a piece. Pictures whose piece is
 * known part the order: between two of them the others are given one by one, likely where the numbers agree.
 * Where these do not, or where what is known runs against the order, it is said, and somebody has to look:
 * such a one has its key lost.
 */
export function inOrder(pictures: readonly Known[], pieces: readonly string[], each: number): InOrder[] {
  const place = new Map(pieces.map((id, i) => [id, i]));
  const out = pictures.map((one): InOrder => {
    if (one === null) return unknown('nothing says whose it is');
    if (one === 'none') return unknown('none of them, as you said');
    return { pieceId: one.pieceId, key: 'sure', why: 'known' };
  });
  const left = new Map(
    pieces.map((id) => [
      id,
      each - pictures.filter((one) => one !== null && one !== 'none' && one.pieceId === id).length,
    ]),
  );
  for (const { open, from, to } of stretchesOf(pictures, place, pieces.length - 1)) {
    if (to < from) {
      for (const i of open)
        out[i] = unknown('what is known around it runs against the order: say whose it is');
      continue;
    }
    const slots = pieces
      .slice(from, to + 1)
      .flatMap((id) => Array.from({ length: Math.max(0, left.get(id)!) }, () => id));
    const agree = slots.length === open.length;
    open.forEach((i, k) => {
      const pieceId = slots[k];
      if (pieceId === undefined) return void (out[i] = unknown('more pictures than pieces here'));
      left.set(pieceId, left.get(pieceId)! - 1);
      out[i] = {
        pieceId,
        key: agree ? 'likely' : 'lost',
        why: agree
          ? 'by the order of taking'
          : `by the order, but ${open.length} pictures for ${slots.length}: look at it`,
      };
    });
  }
  return out;
}
