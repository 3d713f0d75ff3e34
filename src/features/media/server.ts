export * as mediaOperations from './actions';
export { PICTURE_PATH, pictureFor } from './door';
