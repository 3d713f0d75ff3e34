/** Handing out: whom to tell, where it lies, what was collected. */
export { CollectList } from './components/CollectList';
