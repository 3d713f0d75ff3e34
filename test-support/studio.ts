/** A small studio in a database of its own, for integration tests. */
import { UNMEASURED } from '../src/core/load';
import { v7 } from 'uuid';
import type { Database } from '../src/data/database';
import type { Role } from '../src/core/studio';
import { createPerson, type Person } from '../src/data/people';
import { createStudio } from '../src/data/studio';
import { OPERATIONS } from '../src/app/operations';
import { perform, type Answer } from '../src/platform/operation';
import { createBody } from '../src/data/bodies';
import { createCoating, listCoatings } from '../src/data/coatings';
import { createKiln } from '../src/data/kilns';
import { EVERYWHERE } from '../src/core/zones';
import { newLayer } from '../src/features/pieces/contracts';
import { NOTHING_SEEN } from '../src/features/opening/contracts';
import { emptyDatabase } from './database';

export type TestStudio = {
  db: Database;
  technician: Person;
  teacher: Person;
  student: Person;
  body: string;
  kiln: string;
  version: (slug: string) => string;
  act: <T = unknown>(name: string, input: unknown, as?: Person | null, id?: string) => Promise<Answer<T>>;
  /** An operation with a file, as the route hands it over. */
  actWithFile: <T = unknown>(
    name: string,
    input: unknown,
    bytes: Buffer,
    as?: Person,
    id?: string,
  ) => Promise<Answer<T>>;
  /** The answer's data; fails the test when the operation was refused. */
  must: <T = unknown>(name: string, input: unknown, as?: Person) => Promise<T>;
};

const person = async (db: Database, name: string, role: Role): Promise<Person> => {
  const one = { id: v7(), name, login: name.toLowerCase(), role, disabled: false };
  await createPerson(db, { ...one, passwordHash: 'none' }, new Date());
  return one;
};

export async function testStudio(): Promise<TestStudio> {
  const db = await emptyDatabase();
  const now = new Date();
  await createStudio(
    db,
    {
      name: 'Test',
      timeZone: 'UTC',
      temperatureUnit: 'C',
      lengthUnit: 'mm',
      massUnit: 'g',
      crackAtC: 100,
      unloadAtC: 40,
    },
    now,
  );
  const [technician, teacher, student] = [
    await person(db, 'Tech', 'technician'),
    await person(db, 'Teach', 'teacher'),
    await person(db, 'Stud', 'student'),
  ];
  const [body, kiln] = [v7(), v7()];
  await createBody(db, body, {
    name: 'Peat',
    kind: 'stoneware',
    coneLow: '4',
    coneHigh: '6',
    ground: 'dark',
    ironBearing: true,
    colour: '#554433',
    notes: '',
    cautions: '',
    traits: [],
  });
  await createKiln(db, kiln, {
    name: 'Marta',
    energy: 'electric',
    control: 'controller',
    volumeL: 200,
    shelves: 3,
    ...UNMEASURED,
    notes: '',
  });
  for (const [coating, kind] of [
    ['Tarn', 'glaze'],
    ['Pitch', 'glaze'],
    ['Chalk Slip', 'slip'],
  ] as const) {
    await createCoating(
      db,
      v7(),
      {
        name: coating,
        kind,
        coneLow: '5',
        coneHigh: '7',
        colour: '#888888',
        atmosphereNotes: '',
        whatItDoes: '',
        cautions: '',
        traits: [],
      },
      now,
    );
  }
  const versions = new Map((await listCoatings(db)).map((one) => [one.slug, one.versions[0]!.id]));
  const act = <T>(
    operation: string,
    input: unknown,
    as: Person | null = technician,
    id: string = v7(),
  ): Promise<Answer<T>> => perform(db, OPERATIONS.get(operation)!, { id, input }, as) as Promise<Answer<T>>;
  return {
    db,
    technician,
    teacher,
    student,
    body,
    kiln,
    act,
    actWithFile: <T>(operation: string, input: unknown, bytes: Buffer, as = technician, id = v7()) =>
      perform(db, OPERATIONS.get(operation)!, { id, input, file: { name: 'file', bytes } }, as) as Promise<
        Answer<T>
      >,
    version: (slug) => versions.get(slug)!,
    must: async <T>(operation: string, input: unknown, as?: Person): Promise<T> => {
      const answer = await act<T>(operation, input, as ?? technician);
      if (!answer.ok) throw new Error(`${operation}: ${JSON.stringify(answer.problem)}`);
      return answer.data;
    },
  };
}

export const layer = (coatingVersionId: string, from = 0, to = 1, rest: object = {}) => ({
  ...newLayer(coatingVersionId, 1),
  region: { ...EVERYWHERE, stretch: { from, to } },
  ...rest,
});

export const makeInput = (studio: TestStudio, layers: object[], rest: object = {}) => ({
  kind: 'tile',
  bodyId: studio.body,
  form: 'L tile',
  heightMm: 90,
  count: 1,
  marks: [],
  ownerId: null,
  madeOn: null,
  notes: '',
  faces: [{ no: 1, kind: 'bare', slipVersionId: null }],
  layers,
  exceptions: [],
  flag: '',
  waitingFor: 'glaze',
  wantedCone: '6',
  wantedAtmosphere: 'oxidation',
  ...rest,
});

export const seen = (rest: object = {}) => ({ ...NOTHING_SEEN, ...rest });

/** Makes pieces and returns their ids in order of their codes as given out. */
export async function makePieces(
  studio: TestStudio,
  layers: object[],
  rest: object = {},
): Promise<{ ids: string[]; codes: string[] }> {
  const { codes } = await studio.must<{ codes: string[] }>('tests.make', makeInput(studio, layers, rest));
  const rows = await studio.db('piece').whereIn('code', codes).select('id', 'code');
  return { codes, ids: codes.map((code) => rows.find((row) => row.code === code)!.id as string) };
}

/** A kiln of a firing's own: one kiln holds one load. */
async function freeKiln({ db }: TestStudio): Promise<string> {
  const id = v7();
  await createKiln(db, id, {
    name: `Kiln ${id}`,
    energy: 'electric',
    control: 'controller',
    volumeL: 200,
    shelves: 3,
    ...UNMEASURED,
    notes: '',
  });
  return id;
}

/** A planned firing, in a kiln of its own unless one is named. */
export async function planFiring(studio: TestStudio, rest: object = {}): Promise<string> {
  const fields = {
    kilnId: 'kilnId' in rest ? rest.kilnId : await freeKiln(studio),
    kind: 'glaze',
    targetCone: '6',
    atmosphere: 'oxidation',
    plannedFor: '2026-03-01',
    notes: '',
    ...rest,
  };
  return (
    await studio.must<{ id: string }>('firings.plan', {
      fields,
      cones: [
        { cone: '5', role: 'guide', place: 'top' },
        { cone: '6', role: 'target', place: 'top' },
        { cone: '7', role: 'guard', place: 'top' },
      ],
    })
  ).id;
}

export const WAY = ['planned', 'loaded', 'firing', 'cooling', 'opened'] as const;

/** Takes a firing from planned to `to`, step by step. */
export async function advance(
  studio: TestStudio,
  firingId: string,
  to: (typeof WAY)[number] = 'opened',
): Promise<void> {
  for (let i = 0; WAY[i] !== to; i++)
    await studio.must('firings.move', { firingId, from: WAY[i], to: WAY[i + 1] });
}

/** Made, loaded, fired and opened. */
export async function fired(
  studio: TestStudio,
  layers: object[],
  rest: object = {},
  firing: object = {},
): Promise<{ firingId: string; ids: string[]; codes: string[] }> {
  const pieces = await makePieces(studio, layers, rest);
  const firingId = await planFiring(studio, firing);
  await studio.must('loading.place', { firingId, pieceIds: pieces.ids, shelf: 1 });
  await advance(studio, firingId);
  return { firingId, ...pieces };
}

export const recordInput = (
  firingId: string,
  pieceIds: readonly string[],
  said: object,
  rest: { zone?: string; corrects?: string | null; seenAt?: string; place?: 'kiln' | 'desk' } = {},
) => ({
  firingId,
  zone: rest.zone ?? null,
  ...(rest.seenAt ? { seenAt: rest.seenAt } : {}),
  ...(rest.place ? { place: rest.place } : {}),
  seen: seen(said),
  pieces: pieceIds.map((pieceId) => ({
    pieceId,
    observationId: v7(),
    ...(rest.corrects === undefined ? {} : { corrects: rest.corrects }),
  })),
});

/** A tile dipped from both ends: two coatings that overlap in its middle third. */
export const overlap = (studio: TestStudio, below: string, above: string) => [
  layer(studio.version(below), 0, 2 / 3),
  layer(studio.version(above), 1 / 3, 1),
];

const PIECES = [
  'zone_colour',
  'frame',
  'photo',
  'sighting',
  'cell',
  'observation_sign',
  'observation',
  'placement',
];
const FIRINGS = ['witness_cone', 'firing_event', 'firing', 'flag', 'layer', 'face', 'piece', 'lot'];

/** Takes out all pieces and firings, so that a test begins with an empty chart. */
export async function clearPieces(db: TestStudio['db']): Promise<void> {
  for (const table of [...PIECES, ...FIRINGS]) await db(table).delete();
}
