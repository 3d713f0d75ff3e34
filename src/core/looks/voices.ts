import { statesOf, wentOver, type Looks, type Seen } from './looks';

/** Who of several people said what of one thing. */
export type Side = { value: string; people: string[] };
/** What people who saw one state of one part said: where all agree, and where they differ. */
export type Voices = {
  zone: string | null;
  people: string[];
  agree: { about: string; value: string }[];
  differ: { about: string; sides: Side[] }[];
};

/** A fault this bad is not overlooked; slighter ones may be. */
const MARKED = 2;
/** Runs this close are one run, read twice, mm. Common practice, no source. */
const RUN_MM = 3;

/** What a look says of facts that two people can agree on; a rating is a taste, a note is not compared. */
function facts(look: Looks, marked: readonly string[]): Map<string, string> {
  const said = new Map<string, string>();
  if (look.surface !== null) said.set('surface', look.surface);
  if (look.opacity !== null) said.set('opacity', look.opacity);
  if (look.met !== null) said.set('coats', look.met);
  if (wentOver(look))
    for (const sign of marked)
      said.set(sign, look.signs.some((one) => one.sign === sign) ? 'found' : 'not found');
  return said;
}

/** Runs as sides: readings that lie within a few millimetres of one another are one. */
function runSides(looks: readonly Seen[]): Side[] {
  const told = looks.filter((look) => look.movementMm !== null).sort((a, b) => a.movementMm! - b.movementMm!);
  const groups: Seen[][] = [];
  for (const look of told) {
    const group = groups.at(-1);
    if (group !== undefined && look.movementMm! - group[0]!.movementMm! <= RUN_MM) group.push(look);
    else groups.push([look]);
  }
  return groups.map((group) => ({
    value: `${group[0]!.movementMm} mm`,
    people: group.map(({ by }) => by),
  }));
}

/**
 * Agreement and disagreement between people who saw the same state of the same part, oldest
 * first; states that one person saw are left out. Marked faults are compared by everybody who
 * went over the surface.
 */
export function voicesOf(looks: readonly Seen[]): Voices[] {
  const parts = [...new Set(looks.map(({ zone }) => zone))];
  return parts.flatMap((zone) =>
    statesOf(looks.filter((look) => look.zone === zone))
      .filter((state) => state.length > 1)
      .map((state): Voices => {
        const marked = [
          ...new Set(
            state.flatMap(({ signs }) =>
              signs.filter((one) => one.severity >= MARKED).map(({ sign }) => sign),
            ),
          ),
        ].sort();
        const sides = new Map<string, Map<string, string[]>>();
        for (const look of state)
          for (const [about, value] of facts(look, marked)) {
            const side = sides.get(about) ?? new Map<string, string[]>();
            side.set(value, [...(side.get(value) ?? []), look.by]);
            sides.set(about, side);
          }
        const all = [
          ...[...sides].map(([about, side]) => ({
            about,
            sides: [...side].map(([value, people]) => ({ value, people })),
          })),
          { about: 'run', sides: runSides(state) },
        ];
        return {
          zone,
          people: state.map(({ by }) => by),
          agree: all.flatMap(({ about, sides }) =>
            sides.length === 1 && sides[0]!.people.length > 1 ? [{ about, value: sides[0]!.value }] : [],
          ),
          differ: all.filter((one) => one.sides.length > 1),
        };
      }),
  );
}
