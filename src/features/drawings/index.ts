/** How things are drawn: pieces with their zones, glyphs of signs, cones, curves. */
export { Glyph, ConeDrawing } from './Glyph';
export { RunArrow } from './RunArrow';
export { SignRow } from './SignRow';
export { Specimen } from './Specimen';
export { StandingFrame } from './StandingFrame';
export { Silhouette, within, zoneLines, namesOf, type Paints } from './Silhouette';
export { paintsOf, type Painted } from './paints';
export { GLYPHS } from './glyph-paths';
export { ConeRow } from './ConeRow';
export { Curve } from './Curve';
