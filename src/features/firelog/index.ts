/** A firing's log: readings by hand, file and device, diary, curve, what it is doing now. */
export { Strays } from './components/Strays';
