/**
 * What an earlier version kept on a device, all acts of an opening in one record: it goes out by the one
 * sender.
 */
import { del, get, keys } from 'idb-keyval';
import type { Sender, ToKeep } from './sender';

type OldAct = { kind: 'act'; id: string; name: string; input: unknown; label: string };
type OldPicture = {
  kind: 'picture';
  id: string;
  file: Blob;
  fileName: string;
  pieceId: string;
  firingId: string;
  label: string;
};

const OPENING = 'jiten-outbox-';

function kept(item: OldAct | OldPicture, firingId: string): ToKeep {
  const { id, label } = item;
  const rest = { id, label, about: `opening/${firingId}` };
  if (item.kind === 'act') return { ...rest, name: item.name, input: item.input };
  return {
    ...rest,
    name: 'media.add-picture',
    input: { pieceId: item.pieceId, firingId: item.firingId },
    file: new File([item.file], item.fileName, { type: item.file.type }),
  };
}

/**
 * Takes over what waits from before, for whoever is signed in: its writer was not on record. Twice it takes
 * nothing more.
 */
export async function takeOver(sender: Sender): Promise<void> {
  for (const key of await keys()) {
    if (typeof key !== 'string' || !key.startsWith(OPENING)) continue;
    for (const one of (await get<(OldAct | OldPicture)[]>(key)) ?? [])
      if ((await sender.store.items.get({ id: one.id })) === undefined)
        await sender.add(kept(one, key.slice(OPENING.length)));
    await del(key);
  }
}
