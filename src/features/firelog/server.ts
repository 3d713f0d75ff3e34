export * as firelogOperations from './operations';
export { ingestRequest } from './ingest';
export { firingRoom, type FiringRoom } from './room';
