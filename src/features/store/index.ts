/** Bodies, coatings, recipes, batches, buckets, materials: what there is to work with. */
export { EntryForm } from './components/EntryForm';
