export * from './place';
export * from './words';
