export * as testsOperations from './actions';
export { likePiece, makeChoices, versionsOn } from './queries';
