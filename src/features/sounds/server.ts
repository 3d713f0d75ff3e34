export * as soundsOperations from './actions';
export { soundAnswer, soundFor } from './door';
