import { EVERYWHERE } from '@/core/zones';
import type { LayerFields, PieceLayer } from '@/data/layers';
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

/** A layer as it is written, without what the record keeps beside it. */
export const layerOf = ({
  coatingVersionId,
  method,
  coats,
  weight,
  thicknessMm,
  seconds,
  stage,
  driedBefore,
  region,
  generation,
}: PieceLayer): LayerFields => ({
  coatingVersionId,
  method,
  coats,
  weight,
  thicknessMm,
  seconds,
  stage,
  driedBefore,
  region,
  generation,
});
