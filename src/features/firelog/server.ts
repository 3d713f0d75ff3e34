export * as firelogOperations from './actions';
export { ingestRequest } from './ingest';
export { firingRoom, type FiringRoom } from './room';
