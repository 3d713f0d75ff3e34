import type { MixNode, Variant } from '@/core/slurry';
import { figure, parseNumber } from '@/core/units';

/**
 * Variants as they are written down, one a line: "blue: Cobalt carbonate 1, Tin oxide 5".
 * Throws a RangeError that names the line it cannot read.
 */
export function readVariants(text: string, baseGrams: number): Variant[] {
  const variants = text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .map((line): Variant => {
      const [name = '', rest = ''] = line.split(/:(.*)/);
      const additions: Record<string, number> = {};
      for (const part of rest
        .split(/,(?!\d)/)
        .map((one) => one.trim())
        .filter((one) => one !== '')) {
        const match = /^(.*\S)\s+([\d.,]+)\s*%?$/.exec(part);
        const amount = parseNumber(match?.[2] ?? '');
        if (match === null || !amount.ok)
          throw new RangeError(`“${part}” in “${name}”: write the material, then its percent.`);
        additions[match[1] as string] = amount.value;
      }
      return { name, baseGrams, additions };
    });
  if (variants.length === 0) throw new RangeError('Write down at least one variant.');
  if (new Set(variants.map(({ name }) => name)).size !== variants.length)
    throw new RangeError('Two variants have one name.');
  return variants;
}

/**
 * A mixing tree as steps to follow one after another: what to do, and what to weigh or keep, as `weight` says
 * it.
 */
export function mixSteps(node: MixNode, weight: (grams: number) => string): string[][] {
  const rows: string[][] = node.weigh.map(({ name, grams }) => [
    `Add ${name} to the pot of ${weight(node.baseGrams)} base`,
    weight(grams),
  ]);
  const part = (grams: number): string => `${figure((100 * grams) / node.baseGrams, 1)} %`;
  if (node.variant !== null) {
    const own = node.baseGrams - node.children.reduce((sum, child) => sum + child.baseGrams, 0);
    rows.push(
      node.children.length === 0
        ? [`This is “${node.variant}”`, weight(own)]
        : [`Pour off ${part(own)} of the pot: this is “${node.variant}”`, weight(own)],
    );
  } else if (node.children.length > 1)
    rows.push([
      `Divide the pot by weight: ${node.children.map((child) => part(child.baseGrams)).join(', ')}`,
      '',
    ]);
  return [...rows, ...node.children.flatMap((child) => mixSteps(child, weight))];
}
