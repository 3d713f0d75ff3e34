/** Frames: where a face lies in a picture, and what follows from that. */
export * from './homography';
export * from './crop';
export * from './overlay';
export * from './place';
export * from './shapes';
