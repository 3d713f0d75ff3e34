export * from './terms';
export * from './log';
