/**
 * Pictures and sounds that were taken before anybody said of what: they lie on this device in the order of
 * taking, and become acts when they are laid on a piece.
 */
import { v7 } from 'uuid';
import type { Sender, ToKeep } from './sender';
import type { DeviceStore, TrayItem } from './store';

/** Puts something down; resolves when it is safe on the device. */
export async function putDown(
  { store, person }: Pick<Sender, 'store' | 'person'>,
  { about, kind, file, thumb }: { about: string; kind: TrayItem['kind']; file: File; thumb: Blob | null },
): Promise<string> {
  const id = v7();
  await store.transaction('rw', store.tray, store.files, async () => {
    await store.files.put({ id, blob: file });
    await store.tray.add({ id, person, about, kind, at: Date.now(), fileName: file.name, thumb });
  });
  return id;
}

/** The act that takes another one back; null where there is none. */
type Opposite = { name: string; input: unknown } | null;

/** What became of something laid that is taken back. */
export type TakenBack = 'picked up' | 'taken off' | 'gone out';

/**
 * Lays it on something: it leaves the tray and goes out as an act, in one step, so that it is never both or
 * neither. What comes back picks it up again, as long as nobody has sent it (`picked up`). What the server
 * has already is taken off by `off`, made of the server's answer (`taken off`), or stays (`gone out`).
 */
export async function layOn(
  sender: Sender,
  id: string,
  act: Omit<ToKeep, 'file' | 'id'>,
  off: (answer: unknown) => Opposite = () => null,
): Promise<() => Promise<TakenBack>> {
  const { store } = sender;
  const actId = v7();
  const move = <T>(work: () => Promise<T>): Promise<T> =>
    store.transaction('rw', store.tray, store.items, store.files, work);
  const item = await move(async () => {
    const [found, kept] = [await store.tray.get(id), await store.files.get(id)];
    if (found === undefined || kept === undefined) return null;
    await store.tray.delete(id);
    await store.files.delete(id);
    const file = new File([kept.blob], found.fileName, { type: kept.blob.type });
    await sender.keep({ ...act, id: actId }, file);
    return found;
  });
  void sender.flush();
  const pickUp = (): Promise<boolean> =>
    move(async () => {
      const [laid, kept] = [await store.items.get({ id: actId }), await store.files.get(actId)];
      if (item === null || kept === undefined || laid?.state !== 'waiting') return false;
      await store.items.delete(laid.seq!);
      await store.files.delete(actId);
      await store.files.put({ id, blob: kept.blob });
      await store.tray.put(item);
      return true;
    });
  return async () => {
    if (await pickUp()) return 'picked up';
    const laid = await store.items.get({ id: actId });
    const opposite = laid?.back ?? (laid?.state === 'sent' ? off(laid.answer) : null);
    if (laid === undefined || opposite === null) return 'gone out';
    await sender.add({ ...opposite, id: v7(), label: `Not: ${laid.label}`, about: laid.about });
    return 'taken off';
  };
}

/** Throws away; what comes back puts it down again where it lay. */
export async function throwAway(store: DeviceStore, id: string): Promise<() => Promise<void>> {
  return store.transaction('rw', store.tray, store.files, async () => {
    const [item, kept] = [await store.tray.get(id), await store.files.get(id)];
    await store.tray.delete(id);
    await store.files.delete(id);
    return async () => {
      if (item === undefined || kept === undefined) return;
      await store.transaction('rw', store.tray, store.files, async () => {
        await store.files.put(kept);
        await store.tray.put(item);
      });
    };
  });
}
