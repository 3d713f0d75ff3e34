export * from './shelf';
export * from './pack';
export * from './checks';
export * from './queue';
