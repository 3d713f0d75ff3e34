import * as looks from './actions';
import { inHand, join } from './in-hand';

export const openingOperations = { ...looks, inHand, join };
export { loadFor } from './queries';
