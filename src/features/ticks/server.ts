export * as ticksOperations from './actions';
