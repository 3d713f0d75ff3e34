/** What a firing can be, where it can stand, and what is put into it: the words that are kept. */

/** How full a kiln was fired, by eye. */
export const HOW_FULL = ['sparse', 'half', 'full', 'tight'] as const;
export type HowFull = (typeof HOW_FULL)[number];

export const FIRING_KINDS = ['bisque', 'glaze', 'refire', 'overglaze', 'once-fired'] as const;
export type FiringKind = (typeof FIRING_KINDS)[number];

export const STATUSES = ['planned', 'loaded', 'firing', 'cooling', 'opened'] as const;
export type FiringStatus = (typeof STATUSES)[number];

/** What a piece stands on. */
export const SETTINGS = ['unknown', 'shelf', 'waster', 'ring', 'wads', 'stilt'] as const;
export type Setting = (typeof SETTINGS)[number];

export const CONE_ROLES = ['guide', 'target', 'guard', 'other'] as const;
export type ConeRole = (typeof CONE_ROLES)[number];
