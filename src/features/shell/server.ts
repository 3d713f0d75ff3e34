export { search } from './search';
