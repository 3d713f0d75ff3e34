export * from './cones';
export * from './end-points';
export * from './reading';
