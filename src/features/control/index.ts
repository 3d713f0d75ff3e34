/** The control: one stack of which a tile goes into every glaze firing, so that drift is seen. */
export { TakeAsControl } from './components/TakeAsControl';
