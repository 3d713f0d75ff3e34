import { v7 } from 'uuid';
import { demoBefore0010 } from '../../../test-support/old-demo';
import { migrate } from './index';

test('what had replaced words of others or of a day before becomes a look; a correction stays one', async () => {
  const old = await demoBefore0010('test_migrations_looks');
  await migrate(old, '0011-axes');
  const placed = (await old('placement')
    .join('firing', 'firing.id', 'placement.firing_id')
    .where({ 'firing.status': 'opened' })
    .limit(5)
    .select('placement.piece_id', 'placement.firing_id')) as {
    piece_id: string;
    firing_id: string;
  }[];
  const [iben, noor] = (await old('person').limit(2).pluck('id')) as [string, string];
  const HOUR = 3_600_000;
  const at = (hours: number): Date => new Date(Date.UTC(2026, 0, 1) + hours * HOUR);
  /** Words that replace one another on one piece, as they were kept before. */
  const chain = async (no: number, says: { by: string; hours: number; withdrawn?: boolean }[]) => {
    const { piece_id, firing_id } = placed[no]!;
    await old('observation')
      .where({ piece_id, firing_id, zone: null })
      .update({ zone: `old${no}`, current_key: null });
    const ids = says.map(() => v7());
    for (const [i, { by, hours, withdrawn }] of says.entries()) {
      const later = says[i + 1];
      const replaced = withdrawn || (later !== undefined && !later.withdrawn);
      await old('observation').insert({
        id: ids[i],
        piece_id,
        firing_id,
        seen_at: at(hours),
        seen_by: by,
        note: '',
        supersedes: ids[i - 1] ?? null,
        superseded_at: replaced ? at(hours + 1) : null,
        current_key: replaced ? null : `${piece_id}/${firing_id}/`,
      });
    }
    return ids;
  };
  const chains = [
    await chain(0, [
      { by: iben, hours: 0 },
      { by: iben, hours: 3 },
    ]),
    await chain(1, [
      { by: iben, hours: 0 },
      { by: noor, hours: 1 },
    ]),
    await chain(2, [
      { by: iben, hours: 0 },
      { by: iben, hours: 24 * 30 },
    ]),
    await chain(3, [
      { by: iben, hours: 0 },
      { by: noor, hours: 2, withdrawn: true },
    ]),
    await chain(4, [
      { by: iben, hours: 0 },
      { by: iben, hours: 1 },
      { by: noor, hours: 2 },
    ]),
  ];
  await migrate(old);
  const looks = await Promise.all(
    chains.map(async (ids) =>
      (await old('observation').whereIn('id', ids).orderBy('seen_at')).map((row) => ({
        stands: row.superseded_at === null,
        corrects: row.supersedes === null ? null : ids.indexOf(row.supersedes),
        doubted: row.doubted_as === null ? null : ids.indexOf(row.doubted_as),
      })),
    ),
  );
  const look = (stands: boolean, corrects: number | null = null, doubted: number | null = null) => ({
    stands,
    corrects,
    doubted,
  });
  expect(looks).toEqual([
    // The same person within a day: a correction, as it was.
    [look(false), look(true, 0)],
    // Another person: a look beside, and a technician is asked.
    [look(true), look(true, null, 0)],
    // The same person a month later: a look, and no doubt about it.
    [look(true), look(true)],
    // What was taken back stays taken back.
    [look(true), look(false, 0)],
    // A correction that another person had replaced stands again, over what it corrected.
    [look(false), look(true, 0), look(true, null, 1)],
  ]);
  // They arrived as they were seen, as far as anybody knows; no look was lost.
  expect(await old('observation').whereRaw('arrived_at <> seen_at').count({ n: '*' }).first()).toEqual({
    n: 0,
  });
  await old.destroy();
}, 120_000);
