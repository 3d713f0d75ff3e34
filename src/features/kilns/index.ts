export * as kilnsOperations from './actions';
export { WAY, NEXT_ACT, type Status } from './progress';
