export * from './units';
export * from './quantities';
export * from './duration';
export * from './words';
