/** What is done with a firing's log: while it burns, and caught up afterwards. */
export * from './actions';
export * from './paper-actions';
