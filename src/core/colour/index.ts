/** Colour by number: spaces, differences, correction by a grey, the colours of a zone, scatter, words. */
export * from './correction';
export * from './difference';
export * from './measure';
export * from './nearest';
export * from './repeats';
export * from './spaces';
export * from './together';
export * from './words';
