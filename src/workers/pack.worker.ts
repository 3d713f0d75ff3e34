/** Packs a load off the main thread: a big one takes longer than a tap may. */
import { fillGaps, packLoad, type Parcel, type Shelf, type Spot, type Standing } from '@/core/load';

export type PackRequest = { shelf: Shelf; shelves: number; chamberMm: number | null } & (
  { kind: 'pack'; parcels: Parcel[] } | { kind: 'gaps'; standing: Standing[]; parcels: Parcel[] }
);
export type PackAnswer = {
  spots: [string, Spot][];
  left: { id: string; why: string }[];
  turned: string[];
};

self.onmessage = ({ data }: MessageEvent<PackRequest>) => {
  if (data.kind === 'gaps') {
    const spots = fillGaps(data.standing, data.parcels, data.shelf, data.shelves);
    self.postMessage({ spots: [...spots], left: [], turned: [] } satisfies PackAnswer);
    return;
  }
  const packed = packLoad(data.parcels, data.shelf, data.shelves, data.chamberMm);
  self.postMessage({
    spots: [...packed.spots],
    left: packed.left,
    turned: [...packed.turned],
  } satisfies PackAnswer);
};
