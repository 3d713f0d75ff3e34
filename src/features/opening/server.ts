export * as openingOperations from './actions';
