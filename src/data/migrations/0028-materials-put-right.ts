import type { Knex } from 'knex';

/** Two analyses as they shipped were wrong; where nobody has changed them they are put right. */
const RIGHT = [
  // MnO₂ gives off oxygen: 70.937 of 86.936 g are left as MnO (atomic weights of IUPAC, abridged).
  {
    slug: 'manganese-dioxide',
    was: { MnO: 100 },
    now: { oxides: { MnO: 81.5968 }, loi: 18.4032 },
  },
  // SiC takes up oxygen: 40.096 g become 60.083 g of silica.
  {
    slug: 'silicon-carbide',
    was: { SiO2: 100 },
    now: { oxides: { SiO2: 149.8479 }, loi: -49.8479 },
  },
] as const;

export async function up(db: Knex): Promise<void> {
  for (const { slug, was, now } of RIGHT)
    await db('material')
      .where({ slug, kind: 'theoretical' })
      .whereRaw('JSON_EQUALS(JSON_EXTRACT(analysis, ?), ?)', ['$.oxides', JSON.stringify(was)])
      .update({ analysis: JSON.stringify(now) });
}
