export * from './axes';
export * from './layout';
