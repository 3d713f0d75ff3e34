export * from './codes';
