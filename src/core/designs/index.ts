export * from './forms';
export * from './blends';
export * from './kinds';
export * from './plan';
export type * from './terms';
export * from './confound';
export * from './clay';
export * from './conclusion';
export * from './asks';
