import * as entries from './actions';
import * as buckets from './buckets';
import * as recipes from './recipes';

export const storeOperations = { ...entries, ...recipes, ...buckets };
export { recipeMaterials } from './queries';
export { bodyFits, type BodyFit } from './fits';
export { linesOf } from './recipe';
export { mixSteps } from './variants';
export { plainBody, plainCoating } from './plain';
