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
