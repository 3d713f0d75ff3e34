/** Shares with intervals, exact tests of tables, strata taken together, many tests looked at together. */
export * from './pooled';
export * from './shares';
