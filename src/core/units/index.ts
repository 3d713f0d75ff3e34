export * from './units';
export * from './rates';
