import type { Kind } from './contracts';

/** What the address of the page says: which two, and what the double's versions count as. */
export type Asked = { kind: Kind; from: string; into: string; version: string };

export const mergeAddress = (asked: Partial<Asked>): string =>
  `/studio/merge?${new URLSearchParams(Object.entries(asked).filter(([, value]) => value !== ''))}`;
