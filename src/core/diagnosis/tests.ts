/** Tests that separate causes: what is made, how many tiles at least, and which design makes them. */
export type ClinicTest = {
  /** The fact that its outcome is. */
  fact: string;
  name: string;
  how: string;
  tiles: number;
  /** The kind of design that makes it; null: nothing is made, or not of tiles. */
  design: 'coats on one tile' | 'across bodies' | 'list' | 'crazing' | null;
};

export const TESTS: readonly ClinicTest[] = [
  {
    fact: 't-thin-thick',
    name: 'Thin and thick',
    how: 'Single and double dip on one tile, dried between.',
    tiles: 3,
    design: 'coats on one tile',
  },
  {
    fact: 't-two-bodies',
    name: 'Two bodies',
    how: 'The same coat, weighed alike, on this body and a quiet one.',
    tiles: 4,
    design: 'across bodies',
  },
  {
    fact: 't-half-cone',
    name: 'Half a cone',
    how: 'Twins half a cone cooler and half a cone hotter.',
    tiles: 4,
    design: 'list',
  },
  {
    fact: 't-slow-bisque',
    name: 'Slow bisque',
    how: 'Same cone, slower from 300 to 950 °C, unstacked, with air; the coat weighed alike.',
    tiles: 4,
    design: 'list',
  },
  {
    fact: 't-drop-hold',
    name: 'Drop and hold',
    how: 'Fall fifty to eighty degrees from the peak and hold twenty to thirty minutes.',
    tiles: 3,
    design: 'list',
  },
  {
    fact: 't-order',
    name: 'Order',
    how: 'Each coat alone at double thickness, and both orders.',
    tiles: 4,
    design: 'list',
  },
  {
    fact: 't-wiped-half',
    name: 'A wiped half',
    how: 'One half of the bisque wiped and dried, the other not.',
    tiles: 2,
    design: 'list',
  },
  {
    fact: 't-bucket',
    name: 'The bucket set right',
    how: 'Stirred, sieved and brought to its usual weight.',
    tiles: 2,
    design: 'list',
  },
  {
    fact: 't-two-coolings',
    name: 'Two coolings',
    how: 'Twins, one cooled fast and one slowly from 1100 to 900 °C.',
    tiles: 2,
    design: 'list',
  },
  {
    fact: 't-ladder',
    name: 'The ladder',
    how: 'Silica and kaolin added rung by rung.',
    tiles: 5,
    design: 'crazing',
  },
  {
    fact: 't-ice',
    name: 'Hot ware into ice water',
    how: 'It stretches the glaze: finds crazing. Goggles, tongs; ware may split.',
    tiles: 1,
    design: null,
  },
  {
    fact: 't-boil',
    name: 'Frozen ware into boiling water',
    how: 'It squeezes the glaze: finds shivering. Goggles, tongs; ware may split.',
    tiles: 1,
    design: null,
  },
  {
    fact: 't-without',
    name: 'Without what is suspected',
    how: 'The coat with it, with half of it, and without.',
    tiles: 3,
    design: 'list',
  },
  {
    fact: 't-batch',
    name: 'Old and new batch',
    how: 'Both side by side in one firing.',
    tiles: 2,
    design: 'list',
  },
  {
    fact: 't-steam',
    name: 'Steam',
    how: 'One twin steamed for some hours, one kept dry.',
    tiles: 2,
    design: null,
  },
  {
    fact: 't-stages',
    name: 'Three stages',
    how: 'The slip at soft leather-hard, leather-hard and dry.',
    tiles: 3,
    design: 'list',
  },
];

const BY_FACT = new Map(TESTS.map((one) => [one.fact, one]));
/** Are its tiles weighed out, each with a recipe of its own? */
export const isWeighed = (fact: string): boolean => testOf(fact)?.design === 'crazing';
export const testOf = (fact: string): ClinicTest | undefined => BY_FACT.get(fact);

/** A probability in words that promise no more than it does. */
export function likelyWords(probability: number): string {
  if (probability >= 0.85) return 'very likely';
  if (probability >= 0.6) return 'likely';
  if (probability >= 0.35) return 'perhaps';
  if (probability >= 0.12) return 'possible';
  return 'unlikely';
}
