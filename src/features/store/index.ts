export { mixSteps } from './variants';
