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
/** How many pieces are done with, or, at the end, the answer. */
export type PackWord = { done: number } | { answer: PackAnswer };

const say = (word: PackWord): void => self.postMessage(word);

self.onmessage = ({ data }: MessageEvent<PackRequest>) => {
  const { shelf, shelves } = data;
  if (data.kind === 'gaps') {
    const spots = fillGaps(data.standing, data.parcels, shelf, shelves);
    const turned = [...spots].flatMap(([id, spot]) => (spot.turned ? [id] : []));
    return say({ answer: { spots: [...spots], left: [], turned } });
  }
  const { spots, left, turned } = packLoad(data.parcels, shelf, shelves, data.chamberMm, undefined, (done) =>
    say({ done }),
  );
  say({ answer: { spots: [...spots], left, turned: [...turned] } });
};
