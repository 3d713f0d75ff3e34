export * as peopleOperations from './actions';
