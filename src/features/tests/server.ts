export * as testsOperations from './actions';
export { likePiece } from './queries';
