import { v7 } from 'uuid';
import { PORT } from '../../../test-support/studio';
import { freshDatabase, openLocal } from '../../../scripts/mariadb';
import type { Database } from '../database';
import { MIGRATIONS, migrate } from './index';

let db: Database;
beforeAll(async () => {
  await freshDatabase(PORT, 'test_migrations');
  db = openLocal(PORT, 'test_migrations');
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
  await migrate(db, '0008-forms');
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
  expect(await migrate(db)).toEqual(MIGRATIONS.slice(8).map(({ name }) => name));
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
  expect(await migrate(db)).toEqual([]);
  expect(await db('piece').where({ id: piece.id }).first('code')).toEqual({ code: 'AAAAA' });

  // One reading a moment; a kiln's measures are positive.
  const reading = { firing_id: firingId, at: new Date(0), celsius: 20, source: 'hand' };
  await db('reading').insert(reading);
  await expect(db('reading').insert(reading)).rejects.toMatchObject({ errno: 1062 });
  await expect(
    db('kiln').where({ id: kilnId }).update({ shelf_width_mm: -1 }),
  ).rejects.toMatchObject({ errno: CHECK_FAILED });

  // The database itself holds the line: codes are unique, lengths positive, bodies real.
  await expect(db('piece').insert({ ...piece, id: v7() })).rejects.toMatchObject({ errno: 1062 });
  await expect(
    db('piece').insert({ ...piece, id: v7(), code: 'BBBBB', height_mm: -1 }),
  ).rejects.toMatchObject({ errno: CHECK_FAILED });
  await expect(
    db('piece').insert({ ...piece, id: v7(), code: 'CCCCC', body_id: v7() }),
  ).rejects.toMatchObject({ errno: 1452 });
});
