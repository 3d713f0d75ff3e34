export * as piecesOperations from './actions';
export { type MakeChoices, makeChoices, pieceRoom, versionsOn } from './queries';
