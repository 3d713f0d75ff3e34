/** Packs a load off the main thread: a big one takes longer than a tap may. */
import { packLoad, type Parcel, type Shelf } from '@/core/load';

export type PackRequest = {
  parcels: Parcel[];
  shelf: Shelf;
  shelves: number;
  chamberMm: number | null;
};
export type PackAnswer = {
  spots: [string, { shelf: number; xMm: number; yMm: number }][];
  left: { id: string; why: string }[];
  turned: string[];
};

self.onmessage = ({ data }: MessageEvent<PackRequest>) => {
  const packed = packLoad(data.parcels, data.shelf, data.shelves, data.chamberMm);
  const answer: PackAnswer = {
    spots: [...packed.spots],
    left: packed.left,
    turned: [...packed.turned],
  };
  self.postMessage(answer);
};
