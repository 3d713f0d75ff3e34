export * as clinicOperations from './actions';
export { caseView, type CaseView } from './queries';
