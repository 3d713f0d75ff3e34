/** What is done with pieces that are there. */
export * from './actions';
export { putBack, putRight } from './put-right';
