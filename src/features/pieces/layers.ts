import { EVERYWHERE } from '@/core/zones';
import type { LayerInput } from './contracts';

/** A layer as it is first offered: one dip everywhere. */
export const newLayer = (coatingVersionId: string, generation: number): LayerInput => ({
  coatingVersionId,
  method: 'dip',
  coats: 1,
  weight: 'normal',
  thicknessMm: null,
  seconds: null,
  stage: generation > 1 ? 'glaze-fired' : 'bisque',
  driedBefore: null,
  region: EVERYWHERE,
  generation,
});
