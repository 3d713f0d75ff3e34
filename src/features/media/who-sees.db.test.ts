import { v7 } from 'uuid';
import { createPhotos } from '@/data/photos';
import { findShareLink, type Person, type ShareLink } from '@/data/people';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { maySeePicture } from './who-sees';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

/** A picture of a fired piece, seen or not yet seen. */
async function pictured(
  rest: object,
  { looked, firing = {} }: { looked: boolean; firing?: object },
): Promise<{ sha: string; pieceId: string; photoId: string }> {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], rest, firing);
  const sha = v7().replaceAll('-', '').repeat(2);
  const photoId = v7();
  await createPhotos(
    studio.db,
    [{ id: photoId, sha, width: 9, height: 9, originalName: 'a', pieceId: ids[0]!, firingId }],
    studio.technician.id,
    new Date(),
  );
  if (looked) await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  return { sha, pieceId: ids[0]!, photoId };
}
const sees = (person: Person, sha: string): Promise<boolean> =>
  maySeePicture(studio.db, { person, link: null }, sha);

test('in the studio: the studio’s own, one’s own, what is shown; another’s only where it stands on the chart', async () => {
  const own = await pictured({ ownerId: studio.student.id }, { looked: false });
  const study = await pictured({}, { looked: false });
  const theirs = await pictured({ ownerId: studio.teacher.id }, { looked: false });
  for (const { sha } of [own, study, theirs]) {
    expect(await sees(studio.technician, sha)).toBe(true);
    expect(await sees(studio.teacher, sha)).toBe(true);
  }
  expect(await Promise.all([own, study, theirs].map(({ sha }) => sees(studio.student, sha)))).toEqual([
    true,
    true,
    false,
  ]);
  await studio.db('piece').where({ id: theirs.pieceId }).update({ shown: true });
  expect(await sees(studio.student, theirs.sha)).toBe(true);
  expect(await sees(studio.technician, 'f'.repeat(64))).toBe(false);
});

test('what was put away is for those who keep records, with its picture or its piece', async () => {
  const study = await pictured({}, { looked: false });
  await studio.must('media.bin-picture', { photoId: study.photoId, binned: true });
  expect(await sees(studio.student, study.sha)).toBe(false);
  expect(await sees(studio.teacher, study.sha)).toBe(true);
  const piece = await pictured({}, { looked: false });
  await studio.must('pieces.bin', { pieceIds: [piece.pieceId], binned: true });
  expect(await sees(studio.student, piece.sha)).toBe(false);
});

test('through a link: pieces that count on its board, and no others', async () => {
  const on = await pictured({}, { looked: true });
  const off = await pictured({}, { looked: true, firing: { atmosphere: 'reduction' } });
  const view = '?body=peat&cone=%3F6&atmosphere=oxidation&ground=';
  const { token } = await studio.must<{ token: string }>('people.share', { label: 'A', view, days: 3 });
  const link = (await findShareLink(studio.db, token, new Date())) as ShareLink;
  const seen = (sha: string): Promise<boolean> => maySeePicture(studio.db, { person: null, link }, sha);
  expect([await seen(on.sha), await seen(off.sha)]).toEqual([true, false]);
  await studio.must('media.bin-picture', { photoId: on.photoId, binned: true });
  expect(await seen(on.sha)).toBe(false);
  expect(await maySeePicture(studio.db, { person: null, link: null }, off.sha)).toBe(false);
});
