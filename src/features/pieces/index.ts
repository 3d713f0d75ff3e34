/** A piece: its layers and faces, looks, flags, corrections, the bin, one's own pieces. */
export { FaceEditor } from './components/FaceEditor';
export { LayerEditor } from './components/LayerEditor';
export { StackPreview } from './components/StackPreview';
export { newLayer } from './contracts';
export { type CoatingChoice, type LayersForm } from './components/LayerEditor';
