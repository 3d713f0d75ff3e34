/** Frames: where a piece lies in its pictures, and the colours that follow. */
export { CellColour, ColourStrip, labWords } from './components/CellColour';
export { BeforeAfter } from './components/BeforeAfter';
export { FrameHere } from './components/FrameHere';
export { FrameIt } from './components/FrameIt';
export { GreyCard } from './components/GreyCard';
export { measuredWords, useFrames } from './useFrames';
export { facesToFrame, laidByFace, type FramedPhoto } from './of-piece';
