export * as piecesOperations from './operations';
export { newLayer } from './layers';
export { type MakeChoices, makeChoices, pieceRoom, versionsOn } from './queries';
