export { Shell } from './components/Shell';
export { SignInAgainHost } from './components/SignInAgainHost';
