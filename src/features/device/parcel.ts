/**
 * What waits on a device, as a file: for a phone whose studio has another address now. Taken in elsewhere,
 * the acts keep their ids, so that none is carried out twice.
 */
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { z } from 'zod';
import type { Sender, ToKeep } from '@/platform/sender/sender';
import type { Item } from '@/platform/sender/store';

const KIND = 'jiten-unsent-1';
const actSchema = z.object({
  id: z.uuid(),
  name: z.string().max(100),
  input: z.unknown(),
  label: z.string().max(300),
  about: z.string().max(200),
  fileName: z.string().max(300).nullable(),
  fileType: z.string().max(100),
  back: z.object({ name: z.string(), input: z.unknown() }).nullable(),
  anyway: z.object({ input: z.unknown() }).nullable(),
});
const parcelSchema = z.object({
  kind: z.literal(KIND),
  person: z.uuid(),
  acts: z.array(actSchema).max(100_000),
});

/** Everything of its writer that is not on the server, with its files, in the order of writing. */
export async function packUnsent(sender: Sender, open: readonly Item[]): Promise<Uint8Array> {
  const files: Zippable = {};
  const acts: z.input<typeof actSchema>[] = [];
  for (const { id, name, input, label, about, fileName, back, anyway } of open) {
    const kept = fileName === null ? undefined : await sender.store.files.get(id);
    // Pictures are squeezed already.
    if (kept) files[`files/${id}`] = [new Uint8Array(await kept.blob.arrayBuffer()), { level: 0 }];
    acts.push({ id, name, input, label, about, fileName, fileType: kept?.blob.type ?? '', back, anyway });
  }
  const parcel = { kind: KIND, person: sender.person, acts } satisfies z.input<typeof parcelSchema>;
  return zipSync({ 'unsent.json': strToU8(JSON.stringify(parcel)), ...files });
}

export type Unpacked = { ok: true; taken: number; known: number } | { ok: false; why: string };

/** Takes such a file in, for the person who wrote it. What this device knows already is left as it is. */
export async function takeInUnsent(sender: Sender, bytes: Uint8Array): Promise<Unpacked> {
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes);
  } catch {
    return { ok: false, why: 'This is no file of unsent work, or it did not arrive whole.' };
  }
  const parcel = parcelSchema.safeParse(parsed(files['unsent.json']));
  if (!parcel.success) return { ok: false, why: 'This is no file of unsent work.' };
  const { person, acts } = parcel.data;
  if (person !== sender.person)
    return { ok: false, why: 'Somebody else wrote this. It can be taken in by whoever wrote it.' };
  let known = 0;
  for (const { fileName, fileType, ...act } of acts) {
    if ((await sender.store.items.get({ id: act.id })) !== undefined) {
      known++;
      continue;
    }
    await sender.add({ ...act, file: fileOf(files[`files/${act.id}`], fileName, fileType) } satisfies ToKeep);
  }
  return { ok: true, taken: acts.length - known, known };
}

const fileOf = (bytes: Uint8Array | undefined, name: string | null, type: string): File | null =>
  bytes === undefined || name === null ? null : new File([bytes.slice()], name, { type });

function parsed(bytes: Uint8Array | undefined): unknown {
  try {
    return bytes === undefined ? null : JSON.parse(strFromU8(bytes));
  } catch {
    return null;
  }
}
