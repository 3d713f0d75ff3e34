export * from './address';
export * from './axes';
export * from './layout';
