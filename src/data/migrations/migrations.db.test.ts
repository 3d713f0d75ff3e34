import { v7 } from 'uuid';
import { SERVER } from '../../../test-support/database';
import { freshDatabase, openOn } from '../../keeper/server';
import type { Database } from '../database';
import { demoBefore0010 } from '../../../test-support/old-demo';
import { rebuildSummaries } from '../summaries';
import { MIGRATIONS, migrate } from './index';

let db: Database;
beforeAll(async () => {
  await freshDatabase(SERVER, 'test_migrations');
  db = openOn(SERVER, 'test_migrations');
});
afterAll(() => db.destroy());

const CHECK_FAILED = 4025;

test('each step goes over a database with rows in it, and a second run changes nothing', async () => {
  const technician = v7();
  await migrate(db, '0001-people');
  await db('person').insert({
    id: technician,
    name: 'A',
    login: 'a',
    password_hash: 'x',
    role: 'technician',
    created_at: new Date(),
  });
  await migrate(db, '0002-store');
  const bodyId = v7();
  await db('body').insert({
    id: bodyId,
    slug: 'b',
    name: 'B',
    kind: 'stoneware',
    ground: 'light',
    colour: '#ffffff',
    notes: '',
    cautions: '',
  });
  const [coatingId, versionId] = [v7(), v7()];
  await db('coating').insert({
    id: coatingId,
    slug: 'c',
    name: 'C',
    kind: 'glaze',
    colour: '#ffffff',
    atmosphere_notes: '',
    what_it_does: '',
    cautions: '',
  });
  const made = { created_at: new Date(), notes: 'first' };
  await db('coating_version').insert({ id: versionId, coating_id: coatingId, no: 1, ...made });
  await migrate(db, '0003-pieces');
  const piece = {
    id: v7(),
    code: 'AAAAA',
    kind: 'tile',
    body_id: bodyId,
    form: 'L',
    notes: '',
    created_by: technician,
    created_at: new Date(),
  };
  await db('piece').insert(piece);
  await migrate(db, '0004-firings');
  const [kilnId, firingId, placementId] = [v7(), v7(), v7()];
  await db('kiln').insert({
    id: kilnId,
    slug: 'k',
    name: 'K',
    energy: 'gas',
    control: 'by hand',
    shelves: 2,
    notes: '',
  });
  await db('firing').insert({
    id: firingId,
    kiln_id: kilnId,
    no: 1,
    kind: 'glaze',
    notes: 'n',
    created_by: technician,
    created_at: new Date(),
  });
  await db('placement').insert({
    id: placementId,
    firing_id: firingId,
    piece_id: piece.id,
    placed_by: technician,
    placed_at: new Date(),
  });
  await migrate(db, '0005-observations');
  const observation = {
    id: v7(),
    piece_id: piece.id,
    firing_id: firingId,
    seen_at: new Date(0),
    seen_by: technician,
    rating: 4,
    note: 'gloss',
  };
  await db('observation').insert(observation);
  await migrate(db, '0006-recipes');
  // What a version was called stays; it has no recipe yet, and the materials are there.
  expect(await db('coating_version').where({ id: versionId }).first()).toMatchObject({
    notes: 'first',
  });
  expect(await db('material').where({ name: 'Silica' })).toHaveLength(1);
  const bucket = { coating_version_id: versionId, name: 'B', advice: '{}', mixed_by: technician };
  await db('bucket').insert({ id: v7(), ...bucket, mixed_at: new Date(0) });
  await migrate(db, '0007-questions');
  expect(await db('coating').where({ id: coatingId }).first('trial')).toEqual({ trial: 0 });
  const asked = { asked_by: technician, asked_at: new Date(0), seed: 1, sheet: '{}', no: 1 };
  const words = { text: 'Why?', varied: '', held: '', expected: '' };
  await db('question').insert({ id: v7(), ...words, ...asked });
  await migrate(db, '0008-forms');
  const card = { name: 'Mug', clay_g: 400, fits: '', created_by: technician };
  await db('form_card').insert({ id: v7(), ...card, created_at: new Date(0) });
  expect(await migrate(db, '0009-firing-room')).toEqual(['0009-firing-room']);
  expect(await db('firing').where({ id: firingId }).first()).toMatchObject({
    notes: 'n',
    notice: '',
    read_every_s: 3600,
    schedule: null,
  });
  expect(await db('body').where({ id: bodyId }).first('traits')).toEqual({ traits: [] });
  expect(await db('placement').where({ id: placementId }).first()).toMatchObject({
    x_mm: null,
    turned: 0,
  });
  expect(await migrate(db)).toEqual(MIGRATIONS.slice(9).map(({ name }) => name));
  for (const [table, rows] of Object.entries({
    observation: 1,
    bucket: 1,
    question: 1,
    form_card: 1,
  }))
    expect([table, await db(table).count({ n: '*' }).first()]).toEqual([table, { n: rows }]);
  expect(await db('observation').where({ id: observation.id }).first()).toMatchObject({
    rating: 4,
    note: 'gloss',
  });
  // It stands in a glaze firing: it was made for that.
  expect(await db('piece').where({ id: piece.id }).first()).toMatchObject({ made_for: 'glaze' });
  expect(await migrate(db)).toEqual([]);
  expect(await db('piece').where({ id: piece.id }).first('code')).toEqual({ code: 'AAAAA' });

  // One reading a moment; a kiln's measures are positive.
  const reading = { firing_id: firingId, at: new Date(0), celsius: 20, source: 'hand' };
  await db('reading').insert(reading);
  await expect(db('reading').insert(reading)).rejects.toMatchObject({ errno: 1062 });
  await expect(db('kiln').where({ id: kilnId }).update({ shelf_width_mm: -1 })).rejects.toMatchObject({
    errno: CHECK_FAILED,
  });

  // The database itself holds the line: codes are unique, lengths positive, bodies real.
  await expect(db('piece').insert({ ...piece, id: v7() })).rejects.toMatchObject({ errno: 1062 });
  await expect(
    db('piece').insert({ ...piece, id: v7(), code: 'BBBBB', height_mm: -1 }),
  ).rejects.toMatchObject({ errno: CHECK_FAILED });
  await expect(
    db('piece').insert({ ...piece, id: v7(), code: 'CCCCC', body_id: v7() }),
  ).rejects.toMatchObject({ errno: 1452 });
}, 60_000);

const stands = (of: Database) =>
  of('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .orderBy(['piece_id', 'firing_id', 'stack_key', 'slips'])
    .select('piece_id', 'firing_id', 'stack_key', 'slips', 'body_id', 'atmosphere', 'face_no');

test('a studio of before comes up with everything, and what waits is right', async () => {
  const old = await demoBefore0010('test_migrations_demo');
  const count = async (table: string): Promise<number> =>
    Number((await old(table).count({ n: '*' }).first())?.n);
  const tables = ['piece', 'layer', 'firing', 'placement', 'observation', 'reading', 'question'];
  const before = await Promise.all(tables.map(count));
  expect(before.every((n) => n > 0)).toBe(true);
  const stood = await stands(old);
  expect(stood.length).toBeGreaterThan(500);
  const waited = new Map(
    (await old('piece').select('code', 'waiting_for')).map((row) => [row.code, row.waiting_for]),
  );
  expect(await migrate(old)).toEqual(MIGRATIONS.slice(9).map(({ name }) => name));
  await old.transaction((trx) => rebuildSummaries(trx));
  expect(await Promise.all(tables.map(count))).toEqual(before);
  // Every piece stands on the chart for the same stack and ground as before; refires apart from firsts.
  expect(await stands(old)).toEqual(stood);
  const mixed = await old('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .whereRaw('cell.refired <> (sighting.generation > 1)');
  expect(mixed).toEqual([]);
  // Every blend of a question is named by its tiles and its mix.
  const blends = (await old('coating_version')
    .join('coating', 'coating.id', 'coating_version.coating_id')
    .join('layer', 'layer.coating_version_id', 'coating_version.id')
    .where({ 'coating.trial': true })
    .distinct('coating_version.id', 'coating_version.notes')) as { notes: string }[];
  expect(blends.length).toBeGreaterThan(5);
  for (const { notes } of blends) expect(notes).toMatch(/^tiles? \d+(, \d+)*: ./);
  // A firing whose cones were not read stands under what was intended, every other where it stood.
  const cones = await old('firing').select('cone_known', 'cone_band', 'target_cone', 'reached_ordinal');
  for (const { cone_known, cone_band, target_cone, reached_ordinal } of cones)
    if (reached_ordinal === null && target_cone !== null)
      expect([cone_known, cone_band]).toEqual(['intended', `?${target_cone}`]);
    else expect(cone_band).not.toContain('?');
  expect(new Set(cones.map(({ cone_known }) => cone_known)).size).toBeGreaterThan(1);
  // The demo of then had 14 pots wait for a bisque they had been through: they wait for glaze.
  const moved = (await old('piece').select('code', 'waiting_for', 'made_for')).filter(
    (row) => row.waiting_for !== waited.get(row.code),
  );
  expect(moved).toHaveLength(14);
  for (const row of moved) {
    expect(waited.get(row.code)).toBe('bisque');
    expect(row).toMatchObject({ waiting_for: 'glaze', made_for: 'bisque' });
  }
  await old.destroy();
}, 120_000);
