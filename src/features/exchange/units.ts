/** The unit of an exported column: told by how it is named, and by hand where the name says nothing. */
import type { ExportColumn } from '@/data/export';

const BY_NAME: readonly (readonly [RegExp, string])[] = [
  [/_mm$/, 'mm'],
  [/_mv$/, 'mV'],
  [/(_c|^celsius)$/, '°C'],
  [/_g$|^grams$/, 'g'],
  [/_l$|^litres$/, 'l'],
  [/_kw$/, 'kW'],
  [/(_s|^seconds)$/, 's'],
  [/_hours$/, 'h'],
  [/_degrees$/, '°'],
  [/(^|_)cone(_|$)/, 'cone'],
  [/^colour$/, 'sRGB'],
  [/^stretch_/, 'fraction from foot or centre'],
  [/^sector_/, 'turns'],
];

const BY_PLACE: Readonly<Record<string, string>> = {
  'material.density': 'g/cm3',
  'material.analysis': 'mass %',
  'recipe_line.amount': 'percent or parts',
  'bucket.weighed': 'g',
  'form_card.shrinkage': 'fraction',
  'kiln.climb_rate': '°C/h',
  'firing.reached_ordinal': 'cones; 01 = 0',
  'firing.schedule': '°C, °C/h, min',
  'schedule.segments': '°C, °C/h, min',
  'observation.rating': '1 to 5',
  'observation.colour': '',
  'observation_sign.severity': '1 to 3',
  'photo.width': 'px',
  'photo.height': 'px',
};

/** "mm", "°C", "UTC" …; empty when it has none. */
export function unitOf(table: string, { name, kind }: ExportColumn): string {
  const own = BY_PLACE[`${table}.${name}`];
  if (own !== undefined) return own;
  if (kind === 'moment') return 'UTC';
  if (kind === 'date') return 'date';
  return BY_NAME.find(([pattern]) => pattern.test(name))?.[1] ?? '';
}
