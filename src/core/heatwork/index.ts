export * from './kinetics';
export * from './work';
export * from './schedule';
export * from './passages';
export * from './offset';
export * from './estimate';
export * from './cooling';
export * from './log';
export { impossibleMoment, possibleCelsius, IMPOSSIBLE, IMPOSSIBLE_WORDS, type Impossible } from './possible';
