import { codesFrom } from '@/core/codes';
import type { Units } from '@/core/units';
import type { Row, Source } from './database';
import { countUnframed } from './unframed';

export type Studio = {
  name: string;
  timeZone: string;
  temperatureUnit: 'C' | 'F';
  lengthUnit: 'mm' | 'in';
  massUnit: 'g' | 'oz';
  crackAtC: number;
  unloadAtC: number;
};

/** The studio's settings; null before the first run. */
export async function readStudio(src: Source): Promise<Studio | null> {
  const row = await src('studio').where({ id: 1 }).first();
  if (row === undefined) return null;
  return {
    name: row.name,
    timeZone: row.time_zone,
    temperatureUnit: row.temperature_unit,
    lengthUnit: row.length_unit,
    massUnit: row.mass_unit,
    crackAtC: row.crack_at_c,
    unloadAtC: row.unload_at_c,
  };
}

const columns = (studio: Studio): Record<string, unknown> => ({
  name: studio.name,
  time_zone: studio.timeZone,
  temperature_unit: studio.temperatureUnit,
  length_unit: studio.lengthUnit,
  mass_unit: studio.massUnit,
  crack_at_c: studio.crackAtC,
  unload_at_c: studio.unloadAtC,
});

export async function createStudio(src: Source, studio: Studio, now: Date): Promise<void> {
  await src('studio').insert({ id: 1, ...columns(studio), created_at: now });
}

export async function updateStudio(src: Source, studio: Studio): Promise<void> {
  await src('studio').where({ id: 1 }).update(columns(studio));
}

/**
 * Whoever comes second waits until the first is done, and then reads what was written: the studio’s row is
 * held.
 */
export const oneAtATime = async (src: Source): Promise<void> =>
  void (await src('studio').where({ id: 1 }).forUpdate().first('id'));

/** Gives out `count` piece codes; the caller's transaction holds the counter. */
export async function takeCodes(src: Source, count: number): Promise<string[]> {
  const row = await src('studio').where({ id: 1 }).forUpdate().first('next_piece_no');
  if (row === undefined) throw new Error('The studio has not been set up.');
  const { codes, next } = codesFrom(row.next_piece_no, count);
  await src('studio').where({ id: 1 }).update({ next_piece_no: next });
  return codes;
}

/** The units a studio sees and types in. */
export const unitsOf = (studio: Pick<Studio, 'temperatureUnit' | 'lengthUnit' | 'massUnit'>): Units => ({
  temperature: studio.temperatureUnit,
  length: studio.lengthUnit,
  mass: studio.massUnit,
});

/** A studio that lacks a body, a coating or a kiln is led through its first steps. */
export const isBeginning = (has: { bodies: number; coatings: number; kilns: number }): boolean =>
  Math.min(has.bodies, has.coatings, has.kilns) === 0;

/**
 * How many bodies, coatings and kilns there are; looks of before that nobody has settled, use tests that are
 * due again some day, and spoken notes to type up.
 */
export async function countStore(
  src: Source,
): Promise<
  Record<
    'bodies' | 'coatings' | 'kilns' | 'doubted' | 'due' | 'again' | 'untyped' | 'lost' | 'unframed',
    number
  >
> {
  const count = (table: string) => src(table).count('*');
  const row = (await src
    .select({
      bodies: count('body'),
      coatings: count('coating'),
      kilns: count('kiln').where({ nobody_knows: false }),
      doubted: count('observation').whereNotNull('doubted_as'),
      due: count('use_test').whereNotNull('due_on').whereNull('dropped_at'),
      again: count('second_look').whereNull('dropped_at').whereRaw('due_on <= CURDATE() + INTERVAL 1 DAY'),
      lost: count('piece').where({ key_known: 'lost' }).whereNull('binned_at'),
      untyped: count('sound').whereNull('words_at').whereNull('binned_at'),
      unframed: countUnframed(src, null),
    })
    .first()) as Row;
  return {
    bodies: Number(row.bodies),
    coatings: Number(row.coatings),
    kilns: Number(row.kilns),
    doubted: Number(row.doubted),
    due: Number(row.due),
    again: Number(row.again),
    lost: Number(row.lost),
    untyped: Number(row.untyped),
    unframed: Number(row.unframed),
  };
}
