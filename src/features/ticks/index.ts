/** Ticks on sheets: each person's own, kept on the device first and found again on another one. */
export { TickList } from './TickList';
export { useTicks } from './useTicks';
