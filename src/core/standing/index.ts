export * from './sightings';
export * from './standing';
export * from './circumstances';
export type { Division, Side } from './divisions';
export type { Told } from './apart';
export * from './words';
export { colourLikeness, plainColours } from './colours';
