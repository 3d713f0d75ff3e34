export * as handingOperations from './actions';
