export * from './matrix';
