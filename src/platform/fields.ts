import { z } from 'zod';
import { parseCone } from '@/core/cones';

/** A cone as people write it; comes out in canonical spelling. */
export const coneField = z.string().transform((value, context) => {
  const read = parseCone(value);
  if (read.ok) return read.cone;
  context.addIssue({ code: 'custom', message: read.message });
  return z.NEVER;
});

/** A cone as people write it, or nothing; comes out in canonical spelling or null. */
export const optionalCone = z
  .string()
  .max(20)
  .nullable()
  .transform((value, context) => {
    if (value === null || value.trim() === '') return null;
    const read = parseCone(value);
    if (read.ok) return read.cone;
    context.addIssue({ code: 'custom', message: read.message });
    return z.NEVER;
  });

/** A day in the years that a studio's records may be of. */
export const dayField = z.iso
  .date('Give a date.')
  .refine((day) => day >= '1900' && day < '2200', 'Give a day between 1900 and 2200.');

/** A moment in the years that a studio's records may be of. */
export const momentField = z.iso
  .datetime('Give a time.')
  .refine((at) => at >= '1900' && at < '2200', 'Give a time between 1900 and 2200.');
