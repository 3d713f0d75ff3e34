/** Looking again: a week, a month, a year after the kiln was opened. */
export { AskAgain } from './components/AskAgain';
export { PingCounter } from './components/PingCounter';
