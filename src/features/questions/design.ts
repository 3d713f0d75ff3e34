import { designOf, type Design, type Having } from '@/core/designs';
import type { AskChoices } from './queries';

const list = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? 'it') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/**
 * What a design asks and varies, in the studio's names: what a question says until somebody says it
 * otherwise.
 */
export function words(design: Design, names: ReadonlyMap<string, string>): { text: string; varied: string } {
  const { asks, of, varies } = designOf(design.kind);
  const subject = (of?.(design) ?? []).flatMap((key) => names.get(key) ?? []);
  return { text: asks.replace('{}', list(subject)), varied: varies };
}

/** What the studio has to begin a design with; a coating that was named on the way here comes first. */
export function havingOf(choices: AskChoices, named?: string): Having {
  const first = <T extends { id: string }>(all: readonly T[]): T[] => [
    ...all.filter(({ id }) => id === named),
    ...all.filter(({ id }) => id !== named),
  ];
  const coatings = first(choices.coatings);
  const recipes = [...coatings.filter(({ recipe }) => recipe), ...coatings.filter(({ recipe }) => !recipe)];
  return {
    coating: (i) => coatings[i]?.id ?? '',
    recipe: (i) => recipes[i]?.id ?? '',
    material: (slug) =>
      (choices.materials.find((one) => one.slug === slug) ?? choices.materials[0])?.id ?? '',
  };
}

/** Clay in a test tile with its foot, wet, g (common practice, no source). */
const TILE_CLAY_G = 80;

/**
 * Minutes at the bench: weighing, cups, dipping and numbering (common practice, no source); clay of test
 * tiles.
 */
export function effort(design: Design, tiles: number): { minutes: number; clayG: number } {
  const mixing = designOf(design.kind).mixing?.(design, tiles) ?? 0;
  return { minutes: Math.round(mixing + 2 * tiles + 5), clayG: tiles * TILE_CLAY_G };
}
