/** What every page stands in: the rail of places, the finder, signing in again. */
export { Shell } from './components/Shell';
export { SignInAgainHost } from './components/SignInAgainHost';
export { FaultPage } from './components/FaultPage';
