export * as kilnsOperations from './actions';
