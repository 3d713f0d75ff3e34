export * as storeOperations from './actions';
export { optionalCone } from './schema';
