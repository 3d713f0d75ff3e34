import { v7 } from 'uuid';
import { postsOf, shelfOf, UNMEASURED } from '@/core/load';
import { createKiln, listKilns } from '@/data/kilns';
import { testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const kilnNamed = async (name: string) => (await listKilns(studio.db)).find((one) => one.name === name)!;

test('posts are moved for every load of a kiln, refused over the edge, and put back', async () => {
  await createKiln(studio.db, v7(), {
    name: 'Otter',
    energy: 'electric',
    control: 'controller',
    volumeL: 200,
    shelves: 3,
    ...UNMEASURED,
    shelfShape: 'rectangle',
    shelfWidthMm: 450,
    shelfDepthMm: 450,
    notes: '',
  });
  const { id: kilnId } = await kilnNamed('Otter');
  const posts = [
    { xMm: -200, yMm: 0 },
    { xMm: 200, yMm: 0 },
  ];
  await studio.must('kilns.set-posts', { kilnId, posts, before: null });
  const kiln = await kilnNamed('Otter');
  expect(postsOf(shelfOf(kiln, kiln.posts)!)).toEqual(posts);
  for (const wrong of [[{ xMm: 220, yMm: 0 }], [], Array.from({ length: 7 }, () => posts[0])])
    expect(await studio.act('kilns.set-posts', { kilnId, posts: wrong, before: posts })).toMatchObject({
      ok: false,
    });
  expect((await kilnNamed('Otter')).posts).toEqual(posts);
  await studio.must('kilns.set-posts-again', { kilnId, posts: null });
  expect((await kilnNamed('Otter')).posts).toBeNull();
  // A kiln whose shelf nobody measured has no edge to stand within.
  const { id: other } = await kilnNamed('Marta');
  expect(await studio.act('kilns.set-posts', { kilnId: other, posts, before: null })).toMatchObject({
    ok: false,
  });
});
