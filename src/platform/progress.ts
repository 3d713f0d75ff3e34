/** How far long work has come, by the id of its operation; known to this server while it goes on. */
export type Progress = { share: number; doing: string };

// Routes are bundled apart, so that what they share stands beside them all.
const shared = globalThis as typeof globalThis & { jitenProgress?: Map<string, Progress> };
const going = (shared.jitenProgress ??= new Map());

/** Says how far it is: `share` of 1, and what is being done. */
export type Tell = (share: number, doing: string) => void;

/** Runs long work that tells how far it has come. */
export async function telling<T>(id: string, work: (tell: Tell) => Promise<T>): Promise<T> {
  try {
    return await work((share, doing) => going.set(id, { share, doing }));
  } finally {
    going.delete(id);
  }
}

/** How far the work of this id has come; null when none goes on. */
export const progressOf = (id: string): Progress | null => going.get(id) ?? null;
