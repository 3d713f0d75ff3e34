/** Who is here and what each may do: roles, invitations, share links, the studio’s settings. */
export { DEEDS, may, maySeePiece, mayTouchPiece, permit, whoMay, type Deed } from './permissions';
