export * as loadingOperations from './actions';
export { checkedLoad, type CheckedLoad } from './load-check';
export { loadOf } from './queries';
export { putIn } from './put-in';
export { traitsByVersion } from './traits';
