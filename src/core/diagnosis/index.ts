/** Why a fault is there: complaints, facts, causes, and the reckoning between them. */
export * from './case';
export * from './cause-types';
export * from './complaints';
export { contrastsOf, type Contrast } from './contrasts';
export * from './diagnose';
export * from './effects';
export * from './fact-types';
export * from './facts';
export * from './knowledge';
export * from './from-log';
export * from './from-record';
export * from './tests';
export * from './here';
export * from './load';
export type { Told } from './told';
