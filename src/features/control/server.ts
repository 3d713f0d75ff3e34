export * as controlOperations from './actions';
