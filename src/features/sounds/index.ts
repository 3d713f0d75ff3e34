/** Spoken notes: held to talk, kept as sound, typed up later. */
export { HoldToTalk } from './components/HoldToTalk';
export { SpeakHere } from './components/SpeakHere';
export { speaking, useSpeak } from './useSpeak';
export type { Recorded } from './useRecorder';
export { lengthWords } from './words';
