import { compareZones } from '@/core/zones';

const MINUTE_MS = 60_000;

type Told = { seenAt: Date; seenBy: string; place: string; zone: string | null };

/**
 * Looks in the order of their time; of what one person said within a minute all of the piece comes first,
 * then its parts as it stands. Each with whether it goes on where the one before it stands: who, when and
 * where need not be said again.
 */
export function inTurn<L extends Told>(looks: readonly L[]): { look: L; goesOn: boolean }[] {
  const minute = ({ seenAt }: Told): number => Math.floor(seenAt.getTime() / MINUTE_MS);
  return [...looks]
    .sort(
      (a, b) =>
        minute(a) - minute(b) ||
        Number(a.seenBy > b.seenBy) - Number(a.seenBy < b.seenBy) ||
        compareZones(a.zone, b.zone),
    )
    .map((look, i, all) => {
      const before = all[i - 1];
      const goesOn =
        before !== undefined &&
        look.zone !== null &&
        minute(before) === minute(look) &&
        before.seenBy === look.seenBy &&
        before.place === look.place;
      return { look, goesOn };
    });
}
