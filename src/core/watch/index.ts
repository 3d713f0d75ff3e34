export * from './alarms';
export * from './watch';
export type { AlarmKind, Change, WatchOptions } from './kiln';
