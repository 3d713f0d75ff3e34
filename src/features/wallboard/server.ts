export * as wallboardOperations from './actions';
