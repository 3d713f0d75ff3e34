export * as piecesOperations from './operations';
export { newLayer } from './contracts';
export { type MakeChoices, makeChoices, pieceRoom, versionsOn } from './queries';
