import type { ToHand } from '@/data/handing';

export type Owner = { id: string; name: string; pieces: ToHand[] };

/** What is handed out, owner by owner as they come. */
export function byOwner(pieces: readonly ToHand[]): Owner[] {
  const owners = new Map<string, Owner>();
  for (const piece of pieces) {
    const owner = owners.get(piece.ownerId) ?? { id: piece.ownerId, name: piece.owner, pieces: [] };
    owner.pieces.push(piece);
    owners.set(piece.ownerId, owner);
  }
  return [...owners.values()];
}

/**
 * What to write to the owners, a line each, of what they have not collected yet; '' where there is nobody to
 * tell.
 */
export const tellWords = (owners: readonly Owner[], title: string, place: string): string =>
  owners
    .flatMap(({ name, pieces }) => {
      const codes = pieces.filter(({ collectedAt }) => collectedAt === null).map(({ code }) => code);
      return codes.length === 0
        ? []
        : [
            `${name}: ${codes.join(', ')} came out of ${title}${place === '' ? ' and can be collected' : `; collect from ${place}`}.`,
          ];
    })
    .join('\n');
