/** A key of numbers rescued: what lies on pieces that were written up by their marks alone. */
export { KeyGrid } from './components/KeyGrid';
