/**
 * Effects that somebody wants: the same knowledge read the other way. From memory; kinds of source stand
 * beside them.
 */
import type { Source } from './cause-types';

export type Effect = {
  id: string;
  name: string;
  /** The sign that it is on record as, wanted; null where none is. */
  sign: string | null;
  brings: string;
  /** What it is steered by, the strongest first. */
  levers: readonly string[];
  costs: string;
  fuel?: true;
  source: Source;
};

export const EFFECTS: readonly Effect[] = [
  {
    id: 'zinc-crystals',
    name: 'Large zinc crystals',
    sign: 'crystals',
    brings: 'Much zinc oxide (about a fifth to a quarter), little alumina, and few seeds.',
    levers: ['hours at 1030 to 1120 °C after the peak', 'the peak itself', 'titania as seed'],
    costs: 'It runs off: a pedestal and a catcher under each piece, and grinding. Not the usual program.',
    source: 'published',
  },
  {
    id: 'satin',
    name: 'Satin, fine crystals',
    sign: 'crystals',
    brings: 'Lime, magnesia, zinc, barium or titania beyond what the melt can hold.',
    levers: ['slow from 1100 to 900 °C', 'thickness'],
    costs: 'Cutlery marks. Barium is poison: not for food.',
    source: 'published',
  },
  {
    id: 'breaking',
    name: 'Breaking over edges',
    sign: 'breaking',
    brings: 'A colour or an opacity that changes with thickness, in a melt fluid enough to thin at edges.',
    levers: ['sharp relief', 'a medium coat', 'iron, rutile or titania'],
    costs: 'It runs; bare edges rub.',
    source: 'common practice',
  },
  {
    id: 'orange-peel',
    name: 'Orange peel',
    sign: 'orange-peel',
    brings: 'A stiff melt with trapped bubbles, a dry spray, or salt vapour.',
    levers: ['a thick spray', 'half a cone less', 'more alumina'],
    costs: 'Hard to clean.',
    source: 'common practice',
  },
  {
    id: 'froth',
    name: 'Froth and craters',
    sign: 'froth',
    brings: 'Gas late in a stiff melt: fine silicon carbide, 1 to 5 %, or hot manganese.',
    levers: ['thickness', 'how fine the silicon carbide is', 'a fast fall from the peak'],
    costs: 'Sharp, and not for use. The dust is for nobody’s lungs; it eats shelves.',
    source: 'published',
  },
  {
    id: 'carbon-trap',
    name: 'Carbon trap',
    sign: 'smoke',
    brings: 'Soda ash at the surface; heavy smoke early, and then the melt closes over it.',
    levers: ['slow drying', 'wax or a cover for the shape of it', 'heavy from 820 to 950 °C'],
    costs: 'Soot, carbon monoxide, black cores, crawling.',
    fuel: true,
    source: 'common practice',
  },
  {
    id: 'halo',
    name: 'Halo',
    sign: 'halo',
    brings: 'One coat melts into a wider, stiffer one; copper or zinc vapour; iron and titanium in dots.',
    levers: ['fluid dots over a stiff coat', 'more heat'],
    costs: 'Lines that are not sharp, and luck.',
    source: 'judgement',
  },
  {
    id: 'oil-spots',
    name: 'Oil spots',
    sign: 'mottling',
    brings:
      'A thick, stiff glaze full of iron; from about 1230 °C iron gives off oxygen, whose bubbles bring it up, and then it heals.',
    levers: ['oxidation', 'a hold at the top', 'thickness'],
    costs: 'Blisters when it is cut short, streaks when it is long; mostly a high fire.',
    source: 'published',
  },
  {
    id: 'chun',
    name: 'Milky and rutile blues',
    sign: 'mottling',
    brings:
      'Two glasses: much silica, little alumina and phosphate; or titania with boron in a fluid melt; iron beneath.',
    levers: ['thick, on a dark ground', 'slow from 1100 to 900 °C'],
    costs: 'It depends on every stroke, and it runs.',
    source: 'published',
  },
  {
    id: 'crackle',
    name: 'Crackle',
    sign: 'crazing',
    brings: 'A glaze that shrinks more than its body, on purpose.',
    levers: ['more soda', 'thick for wide meshes', 'a stain rubbed in when it is cold'],
    costs: 'Weaker, goes on cracking for years, and not for food on an open body.',
    source: 'published',
  },
];
