export * from './terms';
export * from './log';
export * from './progress';
export * from './words';
export * from './cone-known';
export * from './paper';
