import * as looks from './actions';
import { inHand, join } from './in-hand';
import { unregistered } from './unregistered';

export const openingOperations = { ...looks, inHand, join, unregistered };
export { loadFor } from './queries';
