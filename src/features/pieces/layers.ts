import type { LayerFields, PieceLayer } from '@/data/layers';

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
