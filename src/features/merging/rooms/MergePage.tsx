import { permit } from '@/features/people';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import { listKilns } from '@/data/kilns';
import { listMergers } from '@/data/mergers';
import { lateComers } from '@/data/merging';
import { listPeople } from '@/data/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { Lines } from '@/ui/Lines';
import { Nothing, Page, Section } from '@/ui/Page';
import Link from '@/ui/Link';
import { KINDS, type Kind } from '../contracts';
import { likelyDoubles } from '../likely';
import { previewMerge } from '../preview';
import { MergeAct } from '../components/MergeActs';
import { mergeAddress, type Asked } from '../address';
import { MergeChoice, type Entry } from '../components/MergeChoice';
import { MergerLine } from '../components/MergerLine';
import { PreviewWords } from '../components/PreviewWords';

type Listed = Entry & { mergedInto: string | null; versions?: { id: string; no: number }[] };

const READ: Readonly<Record<Kind, (src: Source) => Promise<Listed[]>>> = {
  body: listBodies,
  coating: async (src) => (await listCoatings(src)).filter(({ trial }) => !trial),
  kiln: listKilns,
  person: listPeople,
};

/** What is on record twice: chosen, what merging changes read first, done, and taken apart again. */
export async function MergePage({ searchParams }: { searchParams: Promise<Partial<Asked>> }) {
  const { person, studio } = await enter(permit('run the studio'));
  const given = await searchParams;
  const kind = KINDS.find((one) => one === given.kind) ?? 'coating';
  const db = database();
  const all = await READ[kind](db);
  const here = all.filter(({ mergedInto }) => mergedInto === null);
  const known = (id: string | undefined): Listed | undefined => here.find((one) => one.id === id);
  const [from, into] = [known(given.from), known(given.into)];
  const versions = [...(into?.versions ?? [])].reverse();
  const asked: Asked = {
    kind,
    from: from?.id ?? '',
    into: into?.id ?? '',
    version: given.version ?? versions[0]?.id ?? '',
  };
  const wanted =
    from === undefined || into === undefined
      ? null
      : {
          kind,
          fromId: from.id,
          intoId: into.id,
          versionId: versions.find(({ id }) => id === asked.version)?.id ?? null,
        };
  const [preview, mergers] = await Promise.all([
    wanted === null ? null : previewMerge(db, wanted, person.id),
    listMergers(db),
  ]);
  const name = (id: string): string => all.find((one) => one.id === id)?.name ?? 'one';
  const ofKind = mergers.filter((one) => one.kind === kind);
  const late = await lateComers(db, ofKind);
  const likely = from === undefined && into === undefined ? likelyDoubles(here) : [];
  return (
    <Page
      title="On record twice"
      lead="Two records of one thing become one. What each holds is kept, and it can be taken apart again."
    >
      <Section title="Which two are one?">
        {likely.length > 0 && (
          <p>
            These may be:{' '}
            {likely.slice(0, 8).map(([a, b], i) => (
              <span key={`${a.id}/${b.id}`}>
                {i > 0 && ', '}
                <Link href={mergeAddress({ kind, from: b.id, into: a.id })}>
                  {b.name} and {a.name}
                </Link>
              </span>
            ))}
            .
          </p>
        )}
        <MergeChoice asked={asked} entries={here} versions={versions} />
      </Section>
      {preview !== null && wanted !== null && (
        <Section title={`What changes when ${from!.name} is ${into!.name}`}>
          <PreviewWords preview={preview} from={from!.name} into={into!.name} />
          {preview.refused === null && (
            <MergeAct
              wanted={wanted}
              words={{
                act: `${from!.name} is ${into!.name}`,
                done: `${from!.name} stands under ${into!.name} now`,
              }}
            />
          )}
        </Section>
      )}
      <Section title="Merged so far">
        {ofKind.length === 0 ? (
          <Nothing>Nothing of this kind was merged yet.</Nothing>
        ) : (
          <Lines>
            {ofKind.map((merger) => (
              <MergerLine
                key={merger.id}
                merger={merger}
                names={{ from: name(merger.fromId), into: name(merger.intoId) }}
                late={late.get(merger.id) ?? 0}
                timeZone={studio.timeZone}
              />
            ))}
          </Lines>
        )}
      </Section>
    </Page>
  );
}
