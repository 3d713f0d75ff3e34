/**
 * A photographed wall board becomes tiles with their cells, colours and pictures, and is taken back as one.
 */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deltaE, type Lab } from '@/core/colour';
import { listFirings, newestFirings, openFirings } from '@/data/firings';
import { framesOf } from '@/data/frames';
import { listPhotos } from '@/data/photos';
import { loadPieces } from '@/data/pieces';
import { Random } from '../../../demo/random';
import { developed, photograph } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene } from '../../../test-support/photographs/scene';
import { testStudio, type TestStudio } from '../../../test-support/studio';
import type { BringBoardInput, Brought } from './contracts';

let studio: TestStudio;
let folder: string;
let bytes: Buffer;
let input: BringBoardInput;
const CARD = [30, 60, 90];
/** The lower and the upper half of every tile, by row. */
const LIGHT = [
  [40, 70],
  [55, 80],
] as const;

beforeAll(async () => {
  studio = await testStudio();
  folder = await mkdtemp(join(tmpdir(), 'wallboard-'));
  process.env.JITEN_DATA = folder;
  await studio.must('frames.card', { card: CARD });
  // A scene of two rows and three columns, each tile of two halves.
  let seed = 1;
  let scene = drawScene(new Random(seed), PLAIN, 'board');
  while (scene.grid!.rows !== 2 || scene.grid!.columns !== 3)
    scene = drawScene(new Random(++seed), PLAIN, 'board');
  scene.slabs.forEach((slab, i) => {
    const [lower, upper] = LIGHT[Math.floor(i / 3)]!;
    const patch = (from: number, to: number, l: number) => ({
      from,
      to,
      lab: [l, 0, 8] as Lab,
      mottle: 0.03,
      gloss: 0,
    });
    slab.patches = [patch(0, 0.5, lower), patch(0.5, 1, upper)];
  });
  scene.card!.steps = CARD.map((l): Lab => [l, 0, 0]);
  const picture = photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, seed, 960);
  bytes = await developed(picture);
  const { width, height, card, outlines } = picture.truth as unknown as {
    width: number;
    height: number;
    card: { middles: [number, number][] };
    outlines: [number, number][][];
  };
  const at = ([x, y]: readonly [number, number]) => ({ x: x / width, y: y / height });
  input = {
    name: 'The board by the sink',
    board: {
      rows: { are: 'coating', headings: ['Pitch', 'Gull'] },
      columns: { are: 'coating', headings: ['Tarn', 'Heron', 'Gull?'] },
      beneath: 'rows',
      under: 1,
      top: { lower: 1, upper: 2 },
      line: 0.5,
      halves: null,
      body: 'Peat',
    },
    cone: '6',
    conesShown: false,
    atmosphere: 'oxidation',
    kilnId: null,
    firedOn: null,
    method: 'dip',
    tiles: outlines.map((corners, i) => ({
      row: Math.floor(i / 3),
      column: i % 3,
      own: null,
      shape: { kind: 'corners', corners: corners.map(at) as never },
    })),
    grey: card.middles.map(at),
  };
});
afterAll(async () => {
  await studio.db.destroy();
  await rm(folder, { recursive: true });
});

const bring = (part: Partial<BringBoardInput> = {}, file = bytes, as = studio.technician) =>
  studio.actWithFile<Brought>('wallboard.bring', { ...input, ...part }, file, as);
const kept = async (part: Partial<BringBoardInput> = {}): Promise<Brought> => {
  const answer = await bring(part);
  if (!answer.ok) throw new Error(answer.problem.message);
  return answer.data;
};
const cells = () => studio.db('cell').whereNotNull('photo_sha').select('base_slug', 'over_slug', 'photo_cut');
const away = ({ lotId, coatingIds }: Brought, binned: boolean) =>
  studio.must('exchange.away', { lotId, coatingIds, binned });

test('six tiles stand in their cells with colours of their halves; new coatings are made; nothing is made up; it is taken back', async () => {
  const made = await kept();
  expect(made).toMatchObject({
    bodies: 0,
    measured: 6,
    chart: { body: 'peat', cone: '?6', atmosphere: 'oxidation' },
  });
  const pieces = await loadPieces(studio.db, { ids: made.pieceIds });
  expect(pieces.map(({ mark, keyKnown }) => [mark, keyKnown]).sort()).toEqual([
    ['A1', 'sure'],
    ['A2', 'sure'],
    ['A3', 'likely'],
    ['B1', 'sure'],
    ['B2', 'sure'],
    ['B3', 'likely'],
  ]);
  // Where nobody said when and in which kiln, it stays unknown.
  const firing = await studio
    .db('firing')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .first('nobody_knows', 'planned_for', 'target_cone');
  expect(firing).toMatchObject({ nobody_knows: 1, planned_for: null, target_cone: '6' });
  const photos = await listPhotos(studio.db, { pieceIds: made.pieceIds });
  expect([photos.length, new Set(photos.map(({ sha }) => sha)).size]).toEqual([6, 1]);
  for (const [i, pieceId] of made.pieceIds.entries()) {
    const own = await framesOf(
      studio.db,
      photos.filter((one) => one.pieceId === pieceId).map(({ id }) => id),
    );
    const colours = own.flatMap((frame) => frame.colours).sort((a, b) => a.zone.localeCompare(b.zone));
    expect(colours).toHaveLength(2);
    for (const [k, l] of LIGHT[Math.floor(i / 3)]!.entries())
      expect(deltaE(colours[k]!.lab, [l, 0, 8])).toBeLessThan(4);
  }
  const shown = await cells();
  // One dip and two dips of the same are two cells, each with its own part of the tile.
  const tarn = shown.filter((one) => one.base_slug === 'pitch' && one.over_slug === 'tarn');
  expect(tarn).toHaveLength(2);
  expect(tarn[0].photo_cut.y).not.toBeCloseTo(tarn[1].photo_cut.y, 2);
  // The firing that was kept for them alone goes with them, and comes back.
  const listed = async (): Promise<number[]> => [
    (await listFirings(studio.db)).length,
    (await openFirings(studio.db)).length,
    ...[...(await newestFirings(studio.db, 9)).values()].flatMap(({ newest, all }) => [newest.length, all]),
  ];
  expect(await listed()).toEqual([1, 0, 1, 1]);
  await away(made, true);
  expect(await cells()).toEqual([]);
  expect(await listed()).toEqual([0, 0]);
  await away(made, false);
  expect(await cells()).toHaveLength(shown.length);
  expect(await listed()).toEqual([1, 0, 1, 1]);
  await away(made, true);
  // Coatings that only it had are put away with it; one that lies on a piece by then stays.
  const shelved = async () =>
    ((await studio.db('coating').whereNotNull('archived_at').pluck('name')) as string[]).sort();
  expect(await shelved()).toEqual(['Gull', 'Heron']);
  await away(made, false);
  expect(await shelved()).toEqual([]);
  await away(made, true);
});

test('a light and a dark half are two faces, each with its half of the tile; their cells never show the same part', async () => {
  const halves = { left: 'bare', right: 'dark-slip' } as const;
  const made = await kept({
    name: 'Two halves',
    board: { ...input.board, halves, top: { lower: 1, upper: 1 } },
  });
  expect(made.coatingIds).toHaveLength(2);
  const [photo] = await listPhotos(studio.db, { pieceIds: [made.pieceIds[0]!] });
  const frames = await framesOf(studio.db, [photo!.id]);
  expect(frames.map(({ face }) => face).sort()).toEqual([1, 2]);
  const left = frames.find(({ face }) => face === 1)!.shape as { corners: { x: number }[] };
  const right = frames.find(({ face }) => face === 2)!.shape as { corners: { x: number }[] };
  expect(left.corners[1]).toEqual(right.corners[0]);
  const rows = await studio
    .db('cell')
    .where({ base_slug: 'pitch', over_slug: 'tarn' })
    .whereNotNull('photo_cut')
    .select('slips', 'photo_cut');
  expect(new Set(rows.map(({ slips }) => slips))).toEqual(new Set(['', 'dark slip']));
  expect(Math.abs(rows[0].photo_cut.x - rows[1].photo_cut.x)).toBeGreaterThan(0.01);
  await away(made, true);
});

test('what cannot be is refused in words, and nothing is kept of it', async () => {
  const before = await studio.db('piece').count({ n: '*' });
  const coatings = await studio.db('coating').count({ n: '*' });
  const message = async (...args: Parameters<typeof bring>): Promise<string> => {
    const answer = await bring(...args);
    return answer.ok ? 'kept' : answer.problem.message;
  };
  const [one] = input.tiles;
  const crossed = { ...one!, shape: { ...one!.shape, corners: [...one!.shape.corners].reverse() as never } };
  const wrong: Partial<BringBoardInput>[] = [
    { tiles: [] },
    { tiles: [one!, one!] },
    { name: ' ' },
    { board: { ...input.board, body: '' } },
    { board: { ...input.board, top: { lower: 0, upper: 0 } } },
    { cone: '66' },
    { firedOn: '2024-02-31' },
  ];
  expect(await message({ tiles: [crossed] })).toMatch(/A1: .*wrong way/);
  expect(await message({}, Buffer.from('no picture'))).not.toBe('kept');
  expect(await message({}, bytes, studio.student)).not.toBe('kept');
  const said = await Promise.all(wrong.map((part) => message(part)));
  expect(said).not.toContain('kept');
  expect(await studio.db('piece').count({ n: '*' })).toEqual(before);
  expect(await studio.db('coating').count({ n: '*' })).toEqual(coatings);
});
