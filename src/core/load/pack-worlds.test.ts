/** Whatever is to be packed: many loads of chance, too slow to be run for every small break. */
import fc from 'fast-check';
import { figure, sized } from '../../../test-support/worlds';
import { fillGaps, fullness, onPost, onShelf, packLoad, tooNear, type Shelf } from './index';

const SQUARE: Shelf = { shape: 'rectangle', widthMm: 450, depthMm: 450 };
const ROUND: Shelf = { shape: 'round', widthMm: 480, depthMm: 480 };
const HALF: Shelf = { shape: 'half', widthMm: 500, depthMm: 250 };

const parcel = fc.record({
  round: fc.boolean(),
  widthMm: fc.integer({ min: 30, max: 220 }),
  depthMm: fc.integer({ min: 30, max: 220 }),
  heightMm: fc.integer({ min: 30, max: 320 }),
});

test('whatever is packed lies on its shelf, apart from the others, and within the height', () => {
  fc.assert(
    fc.property(
      fc.array(parcel, { minLength: 1, maxLength: 40 }),
      fc.constantFrom(SQUARE, { ...ROUND, widthMm: 420, depthMm: 420 }, HALF),
      (sizes, shelf) => {
        const parcels = sizes.map((size, i) => ({
          id: `p${i}`,
          footprint: size.round ? { ...size, depthMm: size.widthMm } : size,
        }));
        const packed = packLoad(parcels, shelf, 4, 700);
        expect(packed.spots.size + packed.left.length).toBe(parcels.length);
        const standing = parcels.flatMap(({ id, footprint }) => {
          const spot = packed.spots.get(id);
          if (!spot) return [];
          const lies = packed.turned.has(id)
            ? { ...footprint, widthMm: footprint.depthMm, depthMm: footprint.widthMm }
            : footprint;
          // By the checks' own measure, with nothing allowed for.
          expect(onShelf(shelf, lies, spot)).toBe(true);
          return [{ id, footprint: lies, spot }];
        });
        expect(tooNear(standing)).toEqual([]);
        // No post has to stand where a piece does; the top shelf carries none.
        const top = Math.max(0, ...standing.map(({ spot }) => spot.shelf));
        for (const { footprint, spot } of standing)
          if (spot.shelf < top) expect(onPost(shelf, footprint, spot)).toBe(false);
        expect(fullness(shelf, 4, 700, standing).height).toBeLessThanOrEqual(1);
      },
    ),
    { numRuns: sized(150, 2000) },
  );
  figure(
    'packing',
    'loads of chance that lie on their shelves, apart, clear of posts',
    `${sized(150, 2000)}`,
    'all',
  );
});

test('nothing is left over that a gap would have taken', () => {
  const parcel = fc.record({
    round: fc.boolean(),
    widthMm: fc.integer({ min: 35, max: 200 }),
    depthMm: fc.integer({ min: 35, max: 200 }),
    heightMm: fc.integer({ min: 40, max: 300 }),
  });
  fc.assert(
    fc.property(
      fc.array(parcel, { minLength: 20, maxLength: 60 }),
      fc.constantFrom(SQUARE, ROUND, HALF),
      (sizes, shelf) => {
        const parcels = sizes.map((size, i) => ({
          id: `p${i}`,
          footprint: size.round ? { ...size, depthMm: size.widthMm } : size,
        }));
        const { spots, turned, left } = packLoad(parcels, shelf, 2, 700);
        const standing = parcels.flatMap(({ id, footprint }) => {
          const spot = spots.get(id);
          if (spot === undefined) return [];
          const { widthMm, depthMm } = footprint;
          const lies = turned.has(id) ? { ...footprint, widthMm: depthMm, depthMm: widthMm } : footprint;
          return [{ id, footprint: lies, spot }];
        });
        const over = parcels.filter(({ id }) =>
          left.some((one) => one.id === id && one.why === 'no room left'),
        );
        expect([...fillGaps(standing, over, shelf, 2).keys()]).toEqual([]);
      },
    ),
    { numRuns: sized(25, 300) },
  );
  figure(
    'packing',
    'loads of chance that leave no gap that would have taken a piece',
    `${sized(25, 300)}`,
    'all',
  );
});
