/** The one sender of this page, with what it needs of the browser; loaded when a page is up. */
import { liveQuery } from 'dexie';
import { call } from '../client';
import { askToStay } from '../device/room';
import { deliver } from './deliver';
import { takeOver } from './older';
import { Sender } from './sender';
import { DeviceStore, type Item, type TrayItem } from './store';

const AGAIN_MS = 5000;

let store: DeviceStore | null = null;
const ofDevice = (): DeviceStore => (store ??= new DeviceStore());

/** Starts sending for a person; the second of what comes back stops it. */
export function startSender(person: string, changed: () => void): [Sender, () => void] {
  const sender = new Sender(ofDevice(), person, deliver, changed);
  void askToStay();
  const flush = (): void => void sender.flush();
  void takeOver(sender).then(flush);
  // The studio's clock is asked once, so that what is written later without a network bears its time.
  void call('/api/health', {});
  window.addEventListener('online', flush);
  const timer = setInterval(() => {
    if (sender.trouble !== null)
      void call('/api/health', {}).then((answer) => (answer.ok ? flush() : undefined));
  }, AGAIN_MS);
  return [
    sender,
    () => {
      window.removeEventListener('online', flush);
      clearInterval(timer);
    },
  ];
}

/**
 * Tells what a person has on this device, now and whenever it changes, in any tab. Ends when what comes back
 * is called.
 */
export function watchItems(
  person: string,
  wanted: { about: string } | 'open',
  tell: (items: Item[]) => void,
): () => void {
  const { items } = ofDevice();
  const found = (): Promise<Item[]> =>
    wanted === 'open'
      ? items
          .where('[person+state]')
          .anyOf(['waiting', 'sending', 'refused'].map((state) => [person, state]))
          .sortBy('seq')
      : items.where('[person+about]').equals([person, wanted.about]).sortBy('seq');
  const watched = liveQuery(found).subscribe(tell);
  return () => watched.unsubscribe();
}

/** Tells what lies in a page's tray, in the order of taking. */
export function watchTray(person: string, about: string, tell: (items: TrayItem[]) => void): () => void {
  const { tray } = ofDevice();
  const watched = liveQuery(() =>
    tray.where('[person+about]').equals([person, about]).sortBy('at'),
  ).subscribe(tell);
  return () => watched.unsubscribe();
}
