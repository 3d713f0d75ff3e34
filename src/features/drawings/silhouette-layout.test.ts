import { facesOfForm, hasRings } from '@/core/designs';
import type { Face } from '@/core/zones';
import { layOutFaces } from './silhouette-layout';

const drawn = (form: string) => {
  const faces: Face[] = facesOfForm(form).map((face) => ({ ...face, slip: null }));
  return layOutFaces(faces, ({ surface }) => hasRings(form, surface ?? null));
};

test('every face has a place of its own inside the drawing', () => {
  for (const form of ['L tile', 'mug', 'plate', 'jar with lid', 'lamp base', 'test bowl']) {
    const { slots, width, height } = drawn(form);
    for (const slot of slots) {
      expect(slot.left).toBeGreaterThanOrEqual(0);
      expect(slot.left + slot.width).toBeLessThanOrEqual(width);
      expect(slot.top + slot.height).toBeLessThanOrEqual(height);
      for (const other of slots)
        if (other !== slot)
          expect(
            slot.left + slot.width <= other.left ||
              other.left + other.width <= slot.left ||
              slot.top + slot.height <= other.top ||
              other.top + other.height <= slot.top,
          ).toBe(true);
    }
  }
});

test('rim, foot and lid share a column; a plate’s inside is drawn in rings, rings are as large as a tile', () => {
  const jar = drawn('jar with lid').slots;
  const column = (surface: string) => jar.find(({ face }) => face.surface === surface)!.left;
  expect(new Set(['rim', 'foot', 'lid'].map(column)).size).toBe(1);
  expect(column('outside')).not.toBe(column('inside'));
  expect(drawn('plate').slots.map(({ face, rings }) => [face.surface, rings])).toEqual([
    ['outside', false],
    ['inside', true],
    ['rim', false],
    ['foot', false],
  ]);
  const bowl = drawn('test bowl');
  expect(bowl.slots[0]).toMatchObject({ rings: true, width: 200, height: 200 });
  // As large as a tile, whatever else is drawn beside it.
  const inside = drawn('bowl').slots.find(({ rings }) => rings)!;
  expect([inside.width, inside.height]).toEqual([200, 200]);
  expect(drawn('L tile').slots[0]!.height).toBe(200);
});
