export * as storeOperations from './actions';
