export * from './forms';
export * from './matrix';
export * from './blends';
export * from './plan';
export * from './confound';
export * from './clay';
export * from './conclusion';
