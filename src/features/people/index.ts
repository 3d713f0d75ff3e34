export { may, mayTouchPiece, permit, type Deed } from './permissions';
export * as peopleOperations from './actions';
