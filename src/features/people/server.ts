export * as peopleOperations from './actions';
export { acceptInvitation, checkSignIn, firstRun, resetPassword } from './door';
