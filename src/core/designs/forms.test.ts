import { FORMS, faceShare, facesOfForm, formNamed, hasRings } from './forms';
import { WARE_SURFACES } from '../zones';

test('tiles have grounds, ware has surfaces, and neither has the other’s', () => {
  for (const { name, kind, surfaces } of FORMS) {
    const faces = facesOfForm(name);
    expect(faces.map(({ no }) => no)).toEqual(faces.map((_, i) => i + 1));
    expect(faces.every(({ surface }) => (surface === null) === (kind === 'tile'))).toBe(true);
    expect(new Set(surfaces).size).toBe(surfaces.length);
    if (kind === 'ware') expect(faces.every((face) => face.kind === 'bare')).toBe(true);
  }
  expect(facesOfForm('mug').map(({ surface }) => surface)).toEqual(['outside', 'inside', 'rim', 'foot']);
  expect(facesOfForm('jar with lid').at(-1)!.surface).toBe('lid');
  expect(facesOfForm('L tile').map(({ kind }) => kind)).toEqual(['bare', 'light-slip']);
  expect(facesOfForm('something else')).toEqual([{ no: 1, kind: 'bare', surface: null }]);
  expect(formNamed('something else')).toBeUndefined();
});

test('rings are measured on the inside of what is flat and round', () => {
  expect(hasRings('plate', null)).toBe(true);
  expect(hasRings('plate', 'inside')).toBe(true);
  expect(WARE_SURFACES.filter((surface) => hasRings('bowl', surface))).toEqual(['inside']);
  expect(hasRings('mug', 'inside')).toBe(false);
  expect(hasRings('nobody’s form', null)).toBe(false);
});

test('the shares of a piece’s faces add up to all of it, the outside being most', () => {
  for (const { name } of FORMS) {
    const faces = facesOfForm(name);
    const shares = faces.map((face) => faceShare(face, faces));
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
  }
  const mug = facesOfForm('mug');
  const share = (surface: string): number =>
    faceShare(
      mug.find((face) => face.surface === surface)!,
      mug,
    );
  expect(share('outside')).toBeGreaterThan(share('inside'));
  expect(share('inside')).toBeGreaterThan(share('rim'));
  const tile = facesOfForm('L tile');
  expect(faceShare(tile[0]!, tile)).toBe(0.5);
});
