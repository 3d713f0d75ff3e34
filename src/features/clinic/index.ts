/** From a fault to its cause and the next test. */
export { Why } from './components/Why';
export { maySeeCase } from './who-may';
