/**
 * Shares with intervals, exact tests of tables, strata, many tests together, variance by what it goes with,
 * control limits.
 */
export * from './components';
export * from './control';
export * from './pooled';
export * from './shares';
