export * as peopleOperations from './actions';
export { acceptInvitation, checkSignIn, firstRun } from './door';
