export * from './atmosphere';
