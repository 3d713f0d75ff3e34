/** Doubled bodies, coatings, kilns and people made one, and taken apart again. */
export { MergeLink } from './components/MergeLink';
