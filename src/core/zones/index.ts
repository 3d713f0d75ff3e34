export * from './types';
export * from './region';
export * from './zones';
export * from './keys';
export * from './words';
export * from './where';
export * from './written';
