/** Finds in a picture what lies on its ground: faces, plates, the grey card, the grid of a board. */
export * from './field';
export * from './find';
export * from './grey';
export * from './colours';
export * from './board';
export * from './board-tiles';
export * from './many';
export * from './cards';
export * from './sharpness';
export * from './sure';
