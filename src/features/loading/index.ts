/** What goes into a firing and where it stands: plan, pack, checks before the lid, queue. */
export { Load } from './components/Load';
