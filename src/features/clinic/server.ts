export * as clinicOperations from './actions';
export { caseView, type CaseView } from './queries';
export { evidenceOf } from './evidence';
export { caseSays } from './says';
