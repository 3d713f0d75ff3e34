export * as lookagainOperations from './actions';
