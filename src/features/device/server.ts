export { atHand } from './at-hand';
