export * as openingOperations from './actions';
export { addPicture } from './pictures';
