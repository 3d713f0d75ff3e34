/** Pieces and a firing with nothing to be said of, for the checks of a load. */
import type { LoadFiring, LoadItem } from '../src/core/load/check-terms';
import { disc } from './shelf';

export const glaze = (name: string, traits: LoadItem['coatings'][number]['traits'] = []) => ({
  name,
  traits,
  range: { low: '5', high: '7' },
});
export const item = (code: string, rest: Partial<LoadItem> = {}): LoadItem => ({
  id: code,
  code,
  body: { name: 'Saltbox', range: { low: '5', high: '7' }, traits: [] },
  coatings: [glaze('Tarn')],
  glazedFoot: false,
  ranMm: null,
  bisqued: true,
  wantedAtmosphere: null,
  setting: 'shelf',
  shelf: 1,
  spot: null,
  footprint: disc(80),
  flags: [],
  question: null,
  treatment: code,
  ...rest,
});
export const FIRING: LoadFiring = {
  kind: 'glaze',
  targetCone: '6',
  atmosphere: 'oxidation',
  fuelled: false,
  witnesses: 3,
  shelf: { shape: 'rectangle', widthMm: 450, depthMm: 450 },
  thermocouple: null,
  fullness: 0.6,
  inside: null,
};
