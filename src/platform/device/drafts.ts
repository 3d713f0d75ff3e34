/**
 * What was typed and not yet sent, kept on the device: it belongs to the person who typed it
 * and is never offered to the next one on a shared tablet.
 */
export type DraftKey = { person: string; form: string; thing: string };

const nameOf = ({ person, form, thing }: DraftKey): string => `jiten-draft/${person}/${form}/${thing}`;

/** A device whose storage is full or forbidden keeps no drafts; forms work all the same. */
function tried<T>(work: () => T, otherwise: T): T {
  try {
    return work();
  } catch {
    return otherwise;
  }
}

export const readDraft = (key: DraftKey): unknown =>
  tried(() => {
    const text = localStorage.getItem(nameOf(key));
    return text === null ? null : (JSON.parse(text) as unknown);
  }, null);

export const keepDraft = (key: DraftKey, values: unknown): void =>
  tried(() => localStorage.setItem(nameOf(key), JSON.stringify(values)), undefined);

export const dropDraft = (key: DraftKey): void =>
  tried(() => localStorage.removeItem(nameOf(key)), undefined);
