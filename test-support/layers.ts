import { EVERYWHERE, type Coat, type Layer, type Region } from '../src/core/zones';

/** One dip of a coat, everywhere unless said otherwise. */
export const dip = (coat: Coat | string, region: Partial<Region> = {}, rest: Partial<Layer> = {}): Layer => ({
  coat: typeof coat === 'string' ? { slug: coat, version: 1, kind: 'glaze' } : coat,
  method: 'dip',
  coats: 1,
  weight: 'normal',
  thicknessMm: null,
  seconds: null,
  stage: 'bisque',
  driedBefore: null,
  generation: 1,
  region: { ...EVERYWHERE, ...region },
  ...rest,
});

/** A glaze by its slug, in its first version. */
export const glaze = (slug: string): Coat => ({ slug, version: 1, kind: 'glaze' });
