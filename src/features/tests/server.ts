export * as testsOperations from './actions';
