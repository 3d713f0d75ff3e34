/** Shares with intervals, and exact tests of tables. */
export * from './shares';
