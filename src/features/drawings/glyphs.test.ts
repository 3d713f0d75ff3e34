import { SIGNS } from '@/core/signs';
import { GLYPHS } from './glyph-paths';

test('every sign has its own drawing and no drawing is left over', () => {
  expect(Object.keys(GLYPHS).sort()).toEqual(SIGNS.map((sign) => sign.id).sort());
  const drawings = Object.values(GLYPHS).map((paths) => paths.join(' '));
  expect(new Set(drawings).size).toBe(drawings.length);
});
