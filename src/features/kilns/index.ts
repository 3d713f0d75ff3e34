/** A kiln: its settings, what its firings have taught of it, upkeep, devices, schedules. */
export { intervalWords, offsetSaid } from './words';
