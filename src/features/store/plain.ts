import type { BodyFields } from '@/data/bodies';
import type { CoatingFields } from '@/data/coatings';

/** A body of which nothing but its name is known yet. */
export const plainBody = (name: string, notes = ''): BodyFields => ({
  name,
  kind: 'other',
  coneLow: null,
  coneHigh: null,
  ground: 'light',
  ironBearing: false,
  colour: '#cfc6b4',
  notes,
  cautions: '',
  traits: [],
});

/** A coating of which nothing but its name is known yet. */
export const plainCoating = (name: string): CoatingFields => ({
  name,
  kind: 'glaze',
  coneLow: null,
  coneHigh: null,
  colour: '#9b9b96',
  atmosphereNotes: '',
  whatItDoes: '',
  cautions: '',
  traits: [],
});
