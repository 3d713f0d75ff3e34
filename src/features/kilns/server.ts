export * as kilnsOperations from './actions';
export {
  relearn,
  relearnAll,
  knownOf,
  keepLesson,
  learnFrom,
  scheduleKilns,
  type KilnKnown,
  type ScheduleKiln,
} from './learn';
