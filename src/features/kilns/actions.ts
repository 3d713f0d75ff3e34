/** Schedules, devices that speak for a kiln, and what is done to it between firings. */
import * as contracts from './contracts';
import { addToken, addUpkeep, dropUpkeep as hideUpkeep, revokeToken as endToken } from '@/data/kiln-care';
import { setArchived, updateEntry } from '@/data/entries';
import { archiveSchedule as shelve, createSchedule, updateSchedule } from '@/data/schedules';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { newId, newToken } from '@/data/ids';
import { operation, type Act } from '@/platform/operation';
import { permit } from '../people';
import { saveNamed } from '@/platform/saving';
import { onShelf, POST_MM, shelfOf, type Post } from '@/core/load';
import { listKilns, createKiln, setPosts as keepPosts } from '@/data/kilns';
import { relearn } from './learn';

export const saveKiln = operation({
  contract: contracts.save,
  permit: permit('keep records'),
  run: ({ trx }, { id, revision, fields }) =>
    saveNamed(
      'kiln',
      id,
      (made) => createKiln(trx, made, fields),
      (own) => updateEntry(trx, 'kiln', own, fields, revision),
    ),
});

export const archive = operation({
  contract: contracts.archive,
  permit: permit('keep records'),
  run: ({ trx, now }, { id, archived }) => setArchived(trx, 'kiln', id, archived ? now : null),
});

async function knownKiln({ trx }: Act, id: string): Promise<void> {
  if (!(await listKilns(trx)).some((kiln) => kiln.id === id)) throw notFound('This kiln');
}

export const saveSchedule = operation({
  contract: contracts.saveSchedule,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { id, revision, fields }) => {
    if (id === null) {
      const made = newId();
      await createSchedule(trx, made, fields, person.id, now);
      return { id: made };
    }
    if (!(await updateSchedule(trx, id, fields, revision)))
      throw conflict('Somebody else changed this schedule meanwhile. Look at it again first.');
    return { id };
  },
});

export const archiveSchedule = operation({
  contract: contracts.archiveSchedule,
  permit: permit('keep records'),
  run: ({ trx, now }, { id, archived }) => shelve(trx, id, archived ? now : null),
});

/** A secret for a device; it is shown this once, only its hash is kept. */
export const makeToken = operation({
  contract: contracts.makeToken,
  permit: permit('run the studio'),
  run: async (act, { kilnId, name }) => {
    await knownKiln(act, kilnId);
    const secret = newToken();
    const id = newId();
    await addToken(act.trx, { id, kilnId, name, secret }, act.person.id, act.now);
    return { id, secret };
  },
});

export const revokeToken = operation({
  contract: contracts.revokeToken,
  permit: permit('run the studio'),
  run: async ({ trx, now }, { id }) => {
    if (!(await endToken(trx, id, now))) throw notFound('This token');
  },
});

export const upkeep = operation({
  contract: contracts.upkeep,
  permit: permit('keep records'),
  run: async (act, input) => {
    await knownKiln(act, input.kilnId);
    await addUpkeep(act.trx, input, act.person.id, act.now);
    await relearn(act.trx, input.kilnId, null, act.now);
  },
});

export const dropUpkeep = operation({
  contract: contracts.dropUpkeep,
  permit: permit('keep records'),
  run: async ({ trx, now }, { id, dropped }) => {
    const kilnId = await hideUpkeep(trx, id, dropped ? now : null);
    if (kilnId === null) throw notFound('This line');
    await relearn(trx, kilnId, null, now);
  },
});

async function movePosts(
  act: Act,
  { kilnId, posts }: { kilnId: string; posts: readonly Post[] | null },
): Promise<void> {
  await knownKiln(act, kilnId);
  const kiln = (await listKilns(act.trx)).find(({ id }) => id === kilnId)!;
  const shelf = shelfOf(kiln);
  const square = { round: false, widthMm: POST_MM, depthMm: POST_MM, heightMm: 0 };
  if (posts?.some((post) => shelf === null || !onShelf(shelf, square, { shelf: 1, ...post })))
    throw refuse('A post stands over the edge of the shelf.');
  await keepPosts(act.trx, kilnId, posts);
}

export const setPosts = operation({
  contract: contracts.setPosts,
  permit: permit('keep records'),
  run: movePosts,
});

export const setPostsAgain = operation({
  contract: contracts.setPostsAgain,
  permit: permit('keep records'),
  run: movePosts,
});
