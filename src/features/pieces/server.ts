export * as piecesOperations from './operations';
export { type MakeChoices, makeChoices, pieceRoom, versionsOn } from './queries';
