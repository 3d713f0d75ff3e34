export * from './signs';
