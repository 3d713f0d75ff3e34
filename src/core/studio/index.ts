export * from './terms';
