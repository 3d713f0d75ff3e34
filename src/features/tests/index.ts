/** Making tiles and ware: one by one or a lot alike. */
export { type BodyChoice, type Starting } from './components/MakeForm';
