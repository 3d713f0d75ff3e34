export * from './codes';
export * from './marks';
