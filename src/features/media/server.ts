export * as mediaOperations from './actions';
export { maySeePicture } from './who-sees';
