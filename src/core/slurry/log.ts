/** What a bucket's log can say. */
export const ENTRY_KINDS = ['measured', 'water', 'dry mix', 'addition', 'stirred', 'note'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];
