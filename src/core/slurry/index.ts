export * from './batch';
export * from './slurry';
export * from './order';
export * from './log';
