/**
 * What may come up in the drill: pictures that say one thing, of pieces that everybody in the studio may see.
 */
import { v7 } from 'uuid';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../test-support/studio';
import { drillCases, drillPictures } from './drill';

let studio: TestStudio;
let firingId: string;
let ids: string[];
let codes: string[];
beforeAll(async () => {
  studio = await testStudio();
  const made = await fired(studio, [layer(studio.version('tarn'))], { count: 6 });
  ({ firingId, ids, codes } = made);
  const say = (i: number, ...signs: string[]) =>
    studio.must(
      'opening.record',
      recordInput(firingId, [ids[i]!], {
        surface: 'gloss',
        signs: signs.map((sign) => ({ sign, severity: 2, wanted: sign === 'crystals' })),
      }),
    );
  await say(0, 'pit');
  await say(1, 'pit', 'crazing');
  await say(2, 'crystals');
  await say(3);
  await say(4, 'crawling');
  await say(5, 'running');
  await studio.db('photo').insert(
    ids.map((pieceId, i) => ({
      id: v7(),
      sha: String(i).repeat(64),
      width: 30,
      height: 40,
      original_name: '',
      piece_id: pieceId,
      firing_id: firingId,
      uploaded_by: studio.technician.id,
      created_at: new Date(),
    })),
  );
});
afterAll(() => studio.db.destroy());

const shown = async (): Promise<[string, string][]> =>
  (await drillPictures(studio.db))
    .map(({ code, sign }): [string, string] => [code, sign])
    .sort((a, b) => codes.indexOf(a[0]) - codes.indexOf(b[0]));
const piece = (i: number, fields: object) => studio.db('piece').where({ id: ids[i] }).update(fields);

test('a picture that shows one thing, a fault or an effect; with two, or nothing, nobody could be right', async () => {
  expect(await shown()).toEqual([
    [codes[0], 'pit'],
    [codes[2], 'crystals'],
    [codes[4], 'crawling'],
    [codes[5], 'running'],
  ]);
});

test('ware comes up only while its owner shows it; what was put away, piece or picture, does not', async () => {
  await piece(4, { owner_id: studio.student.id, shown: 0 });
  await piece(5, { binned_at: new Date() });
  await studio.db('photo').where({ piece_id: ids[2] }).update({ binned_at: new Date() });
  expect((await shown()).map(([code]) => code)).toEqual([codes[0]]);
  await piece(4, { shown: 1 });
  expect((await shown()).map(([code]) => code)).toEqual([codes[0], codes[4]]);
});

test('causes are asked of cases that those who keep the records closed with one', async () => {
  const close = async (i: number, turnedOut: string[], as = studio.technician) => {
    const open = { pieceId: ids[i], firingId, complaints: ['pit'] };
    const { id } = (await studio.must('clinic.open', open, as)) as { id: string };
    await studio.must('clinic.close', { caseId: id, revision: 1, turnedOut }, as);
  };
  await close(0, ['thick']);
  await close(1, []);
  await close(3, ['grit'], studio.student);
  const cases = await drillCases(studio.db);
  // One that turned out to be nothing that is known has no answer to give.
  expect(cases.filter(({ causes }) => causes.length > 0)).toEqual([
    { sha: '0'.repeat(64), code: codes[0], complaint: 'pit', causes: ['thick'] },
  ]);
  await piece(0, { owner_id: studio.teacher.id, shown: 0 });
  expect((await drillCases(studio.db)).filter(({ causes }) => causes.length > 0)).toEqual([]);
});
