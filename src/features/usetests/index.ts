/**
 * Tests of body and use on a piece: boil and ice, absorption, acid, dishwasher, cutlery, a laboratory's word.
 */
export { UseTestForm } from './components/UseTestForm';
