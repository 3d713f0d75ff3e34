/** What this device keeps for whoever is signed in: unsent work, and what it knows without a network. */
export { Keeping } from './components/Keeping';
export { WaitingStrip } from './components/WaitingStrip';
export { forgetPages } from './offline';
