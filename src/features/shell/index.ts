export { Shell } from './components/Shell';
export { search } from './search';
