/** Frames: where a piece lies in its pictures, and the colours that follow. */
export { CellColour, ColourStrip } from './components/CellColour';
export type { Accepted } from './components/FrameDialog';
export { FrameHere } from './components/FrameHere';
export { FrameWaiting } from './components/FrameWaiting';
export { facesToFrame } from './of-piece';
export { GreyCard } from './components/GreyCard';
export { measuredWords, useFrames } from './useFrames';
export { FrameDrawing } from './components/FrameDrawing';
export { openPicture, type OpenPicture } from './pixels';
export { boardIn, tilesIn } from './propose';
