import { CRAZING_STEP } from '@/core/designs';
import type { AskChoices } from './queries';
import type { AskInput, DesignInput } from './contracts';
import { type DesignKind } from '@/core/designs/terms';

/** Designs as they are chosen: what each is for, in the words of the bench. */
export const DESIGNS: readonly { kind: DesignKind; name: string; asks: string; varies: string }[] =
  [
    { kind: 'coats', name: 'Coats', asks: 'How many coats?', varies: 'coats' },
    {
      kind: 'coats on one tile',
      name: 'Coats on one tile',
      asks: 'How does it build up?',
      varies: 'coats',
    },
    { kind: 'seconds', name: 'Seconds', asks: 'How long in the bucket?', varies: 'seconds' },
    {
      kind: 'across bodies',
      name: 'Across bodies',
      asks: 'What does the clay do to it?',
      varies: 'body',
    },
    {
      kind: 'factorial',
      name: 'Glaze × body × dips',
      asks: 'Several glazes, bodies and coats at once',
      varies: 'coating, coats, body',
    },
    {
      kind: 'matrix',
      name: 'Over and under',
      asks: 'Which goes with which?',
      varies: 'base and over',
    },
    { kind: 'line', name: 'Line blend', asks: 'From one glaze to another', varies: 'the blend' },
    { kind: 'triaxial', name: 'Triaxial', asks: 'Between three glazes', varies: 'the blend' },
    {
      kind: 'grid',
      name: 'Grid of four corners',
      asks: 'Between four glazes',
      varies: 'the blend',
    },
    {
      kind: 'colourant',
      name: 'Colourant ladder',
      asks: 'How much of it?',
      varies: 'the colourant',
    },
    {
      kind: 'crazing',
      name: 'Crazing ladder',
      asks: 'Does silica and a little kaolin cure it?',
      varies: 'silica and kaolin, in step',
    },
    {
      kind: 'body and glaze',
      name: 'Glaze in the body',
      asks: 'When does the clay begin to melt?',
      varies: 'share of glaze',
    },
    { kind: 'list', name: 'Free list', asks: 'Stacks of your own', varies: 'the stack' },
  ];

/** Variables that a design is allowed to change; anything else in the confounding check is a warning. */
export function askedOf(design: DesignInput): string[] {
  switch (design.kind) {
    case 'coats':
    case 'coats on one tile':
      return ['coats', 'body'];
    case 'seconds':
      return ['seconds', 'body'];
    case 'across bodies':
      return ['body'];
    case 'factorial':
      return ['coating', 'coats', 'body'];
    case 'line':
    case 'triaxial':
    case 'grid':
      return [...design.corners, 'body'];
    case 'colourant':
      return [design.material, 'body'];
    case 'crazing':
      return ['step', 'body'];
    case 'body and glaze':
      return ['share of glaze', 'body'];
    case 'matrix':
      return ['base', 'over', 'body'];
    case 'list':
      return ['stack', 'body'];
  }
}

/** A first design of a kind, filled with what the studio has. */
export function firstDesign(
  kind: DesignKind,
  choices: AskChoices,
  common: Pick<DesignInput, 'bodies' | 'repeats' | 'controls' | 'apply'>,
): DesignInput {
  const withRecipe = choices.coatings.filter(({ recipe }) => recipe);
  const coat = (i: number): string => choices.coatings[i]?.id ?? '';
  const corner = (i: number): string => withRecipe[i]?.id ?? choices.coatings[i]?.id ?? '';
  const material = (slug: string): string =>
    choices.materials.find((one) => one.slug === slug)?.id ?? choices.materials[0]?.id ?? '';
  switch (kind) {
    case 'coats':
      return { ...common, kind, coating: coat(0), coats: [1, 2, 3] };
    case 'coats on one tile':
      return { ...common, kind, coating: coat(0), most: 4 };
    case 'seconds':
      return { ...common, kind, coating: coat(0), seconds: [1, 2, 4, 8] };
    case 'across bodies':
      return {
        ...common,
        kind,
        bodies: choices.bodies.slice(0, 3).map(({ id }) => id),
        stack: [coat(0)],
      };
    case 'factorial':
      return { ...common, kind, coatings: [coat(0), coat(1)].filter(Boolean), coats: [1, 2] };
    case 'line':
      return { ...common, kind, corners: [corner(0), corner(1)], points: 5 };
    case 'triaxial':
      return { ...common, kind, corners: [corner(0), corner(1), corner(2)], steps: 4 };
    case 'grid':
      return {
        ...common,
        kind,
        corners: [corner(0), corner(1), corner(2), corner(3)],
        rows: 5,
        columns: 7,
      };
    case 'colourant':
      return {
        ...common,
        kind,
        base: corner(0),
        material: material('red-iron-oxide'),
        percents: [1, 2, 4, 8],
      };
    case 'crazing':
      return {
        ...common,
        kind,
        base: corner(0),
        steps: 5,
        silica: material('silica'),
        kaolin: material('kaolin'),
      };
    case 'body and glaze':
      return { ...common, kind, glaze: corner(0), percents: [0, 10, 20, 30, 40, 60] };
    case 'matrix':
      return {
        ...common,
        kind,
        bases: [coat(0), coat(1)].filter(Boolean),
        overs: [coat(2), coat(3)].filter(Boolean),
        both: true,
      };
    case 'list':
      return { ...common, kind, stacks: [[coat(0)], [coat(0), coat(1)].filter(Boolean)] };
  }
}

/** Clay in a test tile with its foot, wet, g (common practice, no source). */
const TILE_CLAY_G = 80;

/** Minutes at the bench: weighing, cups, dipping and numbering (common practice, no source). */
export function effort(design: DesignInput, tiles: number): { minutes: number; clayG: number } {
  const blend = design.kind === 'line' || design.kind === 'triaxial' || design.kind === 'grid';
  const mixing = blend
    ? 15 * design.corners.length + 1.5 * tiles
    : design.kind === 'colourant' || design.kind === 'crazing'
      ? 15 + 4 * tiles
      : design.kind === 'body and glaze'
        ? 8 * tiles
        : 0;
  return { minutes: Math.round(mixing + 2 * tiles + 5), clayG: tiles * TILE_CLAY_G };
}

/** What a question says when nothing was typed: the design's own question of the studio's names. */
export function words(
  kind: DesignKind,
  name: string,
): Pick<AskInput['fields'], 'text' | 'varied' | 'expected'> {
  const design = DESIGNS.find((one) => one.kind === kind)!;
  return {
    text: `${name}: ${design.asks[0]!.toLowerCase()}${design.asks.slice(1)}`,
    varied:
      kind === 'crazing'
        ? `silica by ${CRAZING_STEP.silica} % and kaolin by ${CRAZING_STEP.kaolin} % a step`
        : design.varies,
    expected: '',
  };
}
