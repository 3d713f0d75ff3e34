export * from './journey';
export * from './words';
export * from './suits';
