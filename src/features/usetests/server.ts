export * as usetestsOperations from './actions';
