export * as controlOperations from './actions';
export { putControl, type ControlPut } from './put';
