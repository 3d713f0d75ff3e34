import { v7 } from 'uuid';
import { UNMEASURED } from '../src/core/load';
import { createKiln, listKilns, type Kiln } from '../src/data/kilns';
import { advance, layer, makePieces, planFiring, testStudio, type TestStudio } from './studio';

const HOUR = 3_600_000;

/** A kiln of a test's own: kilns are lit in the past there, and must not overlap. */
export async function ownKiln(studio: TestStudio, fields: object = {}): Promise<Kiln> {
  const slug = await createKiln(studio.db, v7(), {
    name: `Kiln ${v7()}`,
    energy: 'electric',
    control: 'controller',
    volumeL: 200,
    shelves: 3,
    notes: '',
    ...UNMEASURED,
    ...fields,
  });
  return (await listKilns(studio.db)).find((one) => one.slug === slug)!;
}

/** A firing that was lit so many hours ago, alone in its kiln. */
export async function lit(
  studio: TestStudio,
  kiln: Kiln,
  hours: number,
  rest: object = {},
): Promise<{ firingId: string; at: Date }> {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'), 0.1, 1)]);
  const firingId = await planFiring(studio, { kilnId: kiln.id, ...rest });
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId, 'firing');
  const at = new Date(Math.floor(Date.now() / 1000) * 1000 - hours * HOUR);
  await studio.must('firelog.lit-at', { firingId, at: at.toISOString() });
  return { firingId, at };
}

/** Brings a firing from its climb to its opening. */
export async function finish(studio: TestStudio, firingId: string): Promise<void> {
  await studio.must('firings.move', { firingId, from: 'firing', to: 'cooling' });
  const reason = 'read before it was carried out';
  await studio.must('firings.move', { firingId, from: 'cooling', to: 'opened', reason });
}

/** A studio for the tests of a file, and before each of them a kiln of its own. */
export function kilnTests(give: (given: { studio: TestStudio; kiln: Kiln }) => void, fields: object = {}) {
  let studio: TestStudio;
  let kiln: Kiln;
  beforeAll(async () => {
    studio = await testStudio();
  });
  beforeEach(async () => {
    kiln = await ownKiln(studio, fields);
    give({ studio, kiln });
  });
  afterAll(() => studio.db.destroy());
  return {
    lit: (hours: number, rest: object = {}) => lit(studio, kiln, hours, rest),
    finish: (firingId: string) => finish(studio, firingId),
  };
}
