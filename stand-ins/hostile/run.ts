/** Everything hostile against one running application; what it did wrong, and what took longest. */
import fc from 'fast-check';
import pLimit from 'p-limit';
import { z } from 'zod';
import type { Database } from '../../src/data/database';
import { OPERATIONS } from '../../src/app/operations';
import { acceptSchema, firstRunSchema, resetSchema, signInSchema } from '../../src/features/people/contracts';
import { addressesOf, routesIn } from './addresses';
import { sendRaw, type Heard } from './send';
import { valueOf, type Known, type Schema } from './values';

export type Wrong = { what: string; status: number; told: string };
export type Report = {
  sent: number;
  /** Answers by status. */
  statuses: Record<string, number>;
  wrong: Wrong[];
  slowest: { what: string; ms: number }[];
};

export type Attack = {
  url: string;
  db: Database;
  /** A cookie of somebody who may do everything. */
  cookie: () => Promise<string>;
  bodies: number;
  addresses: number;
  seed: number;
  progress?: (done: number) => void;
};

/** What stands in the studio, to be named in what is sent. */
async function knownIn(db: Database): Promise<Known> {
  const rows: { t: string }[] = await db('information_schema.columns')
    .where({ column_name: 'id', data_type: 'uuid' })
    .whereRaw('table_schema = database()')
    .select({ t: 'table_name' });
  const ids: Known['ids'] = {};
  for (const { t } of rows) {
    const found = (await db(t).limit(12).pluck('id')) as string[];
    if (found.length > 0) ids[t] = found;
  }
  const slugs = await Promise.all(
    ['body', 'coating', 'kiln', 'material'].map((table) => db(table).limit(8).pluck('slug')),
  );
  const codes = await db('piece').limit(8).pluck('code');
  return {
    ids,
    words: [...slugs.flat(), ...codes, '6', '06', 'oxidation', 'reduction'] as string[],
  };
}

/** An answer that shows its inside, or that nobody can send anything for. */
const TRACE = /\bat [^\n]{0,80}\.(?:ts|js|mjs):\d+|node_modules|ER_[A-Z_]{4,}|SQLSTATE|select `/;
function wrongIn({ status, text }: Heard): string | null {
  if (status === 0) return 'no answer';
  if (status >= 500) return 'an answer of 500 and more';
  // A page carries the program's own chunk names; only its words are looked at.
  const told = TRACE.exec(text.replace(/<script[\s\S]*?<\/script>/g, ''));
  return told === null ? null : `shows its inside: ${told[0]}`;
}

type Sending = { what: string; send: () => Promise<Heard> };

const json = { 'content-type': 'application/json' };

function bodies({ url, bodies: count, seed }: Attack, known: Known, cookie: string): Sending[] {
  const doors = {
    'first-run': firstRunSchema,
    'sign-in': signInSchema,
    accept: acceptSchema,
    reset: resetSchema,
  };
  const targets: [string, z.ZodType, boolean][] = [
    ...[...OPERATIONS].map(
      ([name, { contract }]) => [`/api/act/${name}`, contract.input, true] as [string, z.ZodType, boolean],
    ),
    ...Object.entries(doors).map(
      ([name, schema]) => [`/api/door/${name}`, schema, false] as [string, z.ZodType, boolean],
    ),
  ];
  const each = Math.ceil(count / targets.length);
  const sendings = targets.flatMap(([address, input, isAct], i) => {
    const schema = z.toJSONSchema(input, { io: 'input', unrepresentable: 'any' }) as Schema;
    const ids = fc.sample(fc.uuid(), { numRuns: each, seed: seed + i });
    return fc.sample(valueOf(schema, known), { numRuns: each, seed: seed + i }).map((value, j) => {
      const body = JSON.stringify(isAct ? { id: ids[j], input: value } : value) ?? '';
      return {
        what: `POST ${address} ${body}`,
        send: () => sendRaw(url, { method: 'POST', address, headers: { ...json, cookie }, body }),
      };
    });
  });
  // In turn, so that few bodies ask a little of every operation.
  return sendings
    .map((one, i) => ({ one, turn: i % each }))
    .sort((a, b) => a.turn - b.turn)
    .slice(0, count)
    .map(({ one }) => one);
}

function addresses({ url, addresses: count, seed }: Attack, known: Known, cookie: string): Sending[] {
  const routes = routesIn('src/app');
  const each = fc.record({
    address: addressesOf(routes, known),
    // A browser that goes on from a page asks for less than the whole one.
    part: fc.boolean(),
    signedIn: fc.integer({ min: 0, max: 9 }).map((one) => one > 0),
    method: fc.constantFrom('GET', 'GET', 'GET', 'GET', 'GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'OPTIONS'),
  });
  return fc.sample(each, { numRuns: count, seed }).map(({ address, part, signedIn, method }) => ({
    what: `${method} ${address}`,
    send: async () => {
      const asked = {
        method,
        headers: {
          ...(signedIn ? { cookie } : {}),
          ...(part ? { rsc: '1' } : {}),
          accept: 'text/html',
        },
        ...(method === 'POST' || method === 'PUT' ? { body: '' } : {}),
      };
      const heard = await sendRaw(url, { ...asked, address });
      // Asked for a part of a page, the framework first leads to its own address for that.
      const led = heard.status === 307 ? /^location: (\S*[?&]_rsc\S*)/im.exec(heard.text) : null;
      return led === null ? heard : sendRaw(url, { ...asked, address: led[1]! });
    },
  }));
}

/** Sends it all, a few at a time. What was changed by it stays changed: the studio is for throwing away. */
export async function attack(given: Attack): Promise<Report> {
  const known = await knownIn(given.db);
  const report: Report = { sent: 0, statuses: {}, wrong: [], slowest: [] };
  const few = pLimit(4);
  const carry = async ({ what, send }: Sending): Promise<void> => {
    const heard = await send();
    report.sent++;
    given.progress?.(report.sent);
    report.statuses[heard.status] = (report.statuses[heard.status] ?? 0) + 1;
    const wrong = wrongIn(heard);
    const short = what.slice(0, 400);
    if (wrong !== null)
      report.wrong.push({
        what: short,
        status: heard.status,
        told: `${wrong} ${heard.text.slice(-300)}`,
      });
    report.slowest.push({ what: short.slice(0, 120), ms: Math.round(heard.ms) });
    report.slowest.sort((a, b) => b.ms - a.ms).splice(10);
  };
  const pages = addresses(given, known, await given.cookie());
  await Promise.all(pages.map((one) => few(() => carry(one))));
  const cookie = await given.cookie();
  await Promise.all(bodies(given, known, cookie).map((one) => few(() => carry(one))));
  return report;
}
