export * as testsOperations from './actions';
export { layerSchema, faceSchema, type LayerInput } from './schema';
