/** The words a studio's own records are kept in: who there is, what there is to work with. */

export const ROLES = ['technician', 'teacher', 'student'] as const;
export type Role = (typeof ROLES)[number];

export const BODY_KINDS = ['earthenware', 'stoneware', 'porcelain', 'other'] as const;
/** The fired ground of a body. */
export const GROUNDS = ['light', 'mid', 'dark', 'porcelain'] as const;

/** What heats a kiln, and what runs it. */
export const ENERGIES = ['electric', 'gas', 'wood', 'other'] as const;
export const CONTROLS = ['controller', 'shut-off', 'by hand'] as const;

/** What stands where the name of a person stood that was taken out. */
export const SOMEBODY = 'Somebody who left';
