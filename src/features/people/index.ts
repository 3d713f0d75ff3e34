export { may, mayTouchPiece, permit, type Deed } from './permissions';
