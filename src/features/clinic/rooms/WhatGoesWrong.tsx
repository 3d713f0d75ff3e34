import { signOf } from '@/core/signs';
import { listCases } from '@/data/clinic';
import { comparedSightings } from '@/data/clinic-evidence';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';
import type { Person } from '@/data/people';
import { Section } from '@/ui/Page';
import { OpenWideCase, type WideSubject } from '../components/OpenWideCase';
import type { Among } from '../rates';
import { maySeeCase } from '../who-may';

const MOST = 5;

/** Faults that were seen among something, most first. */
const faultsAmong = keepRead({
  most: 60,
  key: (among: Among) => JSON.stringify(among),
  async read(src: Source, among: Among) {
    // A piece shows a fault once, however many of its stretches do.
    const pieces = new Map<string, Set<string>>();
    for (const { faults, pieceId, firingId } of await comparedSightings(src, among))
      for (const sign of faults) pieces.set(sign, (pieces.get(sign) ?? new Set()).add(pieceId + firingId));
    return [...pieces]
      .map(([sign, { size }]) => ({ sign, name: signOf(sign)?.name ?? sign, times: size }))
      .sort((a, b) => b.times - a.times || (a.sign < b.sign ? -1 : 1))
      .slice(0, MOST);
  },
});

/** From a coating, a bucket or a body to its faults and the clinic. */
export async function WhatGoesWrong({
  src,
  person,
  of,
  among,
}: {
  src: Source;
  person: Person;
  of: WideSubject;
  among: Among;
}) {
  const [seen, cases] = await Promise.all([
    faultsAmong(src, among),
    listCases(src, { open: true, of: of.id }),
  ]);
  return (
    <Section title="What goes wrong with it">
      <OpenWideCase of={of} seen={seen} open={cases.filter((one) => maySeeCase(person, one))} />
    </Section>
  );
}
