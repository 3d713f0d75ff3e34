/**
 * A firing through its stages: planned, loaded, fired, cooled, opened; its cones, the calendar, firings
 * compared.
 */
export { ConePacks } from './components/ConePacks';
export { NextTime } from './components/NextTime';
