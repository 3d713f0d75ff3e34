export * as mediaOperations from './actions';
