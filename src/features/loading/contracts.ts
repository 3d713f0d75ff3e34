import { z } from 'zod';
import { SETTINGS } from '@/core/firing';
import { answers, contract, undoneBy } from '@/platform/contract';

export const takeOutSchema = z.object({
  firingId: z.uuid(),
  placementIds: z.array(z.uuid()).min(1).max(500),
});
export const takeOut = contract('loading.take-out', takeOutSchema);
export const placeSchema = z.object({
  firingId: z.uuid(),
  pieceIds: z.array(z.uuid()).min(1, 'Choose a piece.').max(500),
  shelf: z.number('Which shelf?').int().min(1, 'Shelves are counted from 1.').max(30).nullable(),
  position: z.string().trim().max(20).default(''),
  setting: z.enum(SETTINGS).default('unknown'),
});
export const place = undoneBy(
  contract('loading.place', placeSchema, answers<{ placementIds: string[] }>()),
  takeOut,
  ({ firingId }, { placementIds }) => ({ firingId, placementIds }),
);
export const arrangeSchema = z.object({
  firingId: z.uuid(),
  spots: z
    .array(
      z.object({
        placementId: z.uuid(),
        shelf: z.number().int().min(1).max(30).nullable(),
        xMm: z.number().min(-2000).max(2000).nullable(),
        yMm: z.number().min(-2000).max(2000).nullable(),
        turned: z.boolean(),
      }),
    )
    .min(1)
    .max(500),
});
export const arrange = contract('loading.arrange', arrangeSchema);
export const settingSchema = z.object({
  firingId: z.uuid(),
  placementIds: z.array(z.uuid()).min(1).max(500),
  setting: z.enum(SETTINGS),
});
export const standOn = contract('loading.stand-on', settingSchema);
export const withdrawOverruleSchema = z.object({ firingId: z.uuid(), id: z.uuid() });
export const withdrawOverrule = contract('loading.withdraw-overrule', withdrawOverruleSchema);
export const overruleSchema = z.object({
  firingId: z.uuid(),
  finding: z.string().min(1).max(200),
  pieces: z.array(z.string().max(10)).max(500),
  reason: z.string().trim().min(3, 'Say why it may stay so.').max(300),
});
export const overrule = undoneBy(
  contract('loading.overrule', overruleSchema, answers<{ id: string }>()),
  withdrawOverrule,
  ({ firingId }, { id }) => ({ firingId, id }),
);
