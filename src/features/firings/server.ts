export * as firingsOperations from './actions';
export { asICalendar, firingCalendar } from './calendar';
export { compareFirings } from './compare';
export { noticeDraft } from './notice';
