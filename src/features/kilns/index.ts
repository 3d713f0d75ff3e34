export { ConePacks } from './components/ConePacks';
export { ConeRow } from './components/ConeRow';
export { firingTitle, reachedWords } from './words';
