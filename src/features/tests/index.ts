/** Making tiles and ware: one by one, a lot alike, a matrix. */
export { type BodyChoice, type Starting } from './components/MakeForm';
