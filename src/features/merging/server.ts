export * as mergingOperations from './actions';
