export { Glyph, RunArrow, ConeDrawing } from './Glyph';
export { StandingFrame } from './StandingFrame';
export { Silhouette, zoneLines, faceName, type Paints } from './Silhouette';
export { paintsOf } from './paints';
export { GLYPHS } from './glyph-paths';
