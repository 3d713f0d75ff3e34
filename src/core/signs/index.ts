export * from './keys';
export * from './signs';
