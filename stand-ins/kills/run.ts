/**
 * `npm run kills [ROUNDS]`: a studio at work whose application, database and ./start itself are killed
 * outright, in turn. What was acknowledged must be there, once; what was not may be there, once.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { borrowServer } from '../../src/keeper/borrow';
import { currentDatabase } from '../../src/keeper/current';
import { folderOf } from '../../src/keeper/folder';
import { freePort } from '../../src/keeper/port';
import { openOn } from '../../src/keeper/server';
import { rebuildSummaries } from '../../src/data/summaries';
import { build } from '../../scripts/build';
import { Person, type Sent } from './writers';

const rounds = Number(process.argv[2] ?? 200);
const directory = mkdtempSync(join(tmpdir(), 'jiten-kills-'));
const data = join(directory, 'studio');
const port = await freePort();
const url = `http://127.0.0.1:${port}`;
await build();

let house!: ChildProcess;
let said = '';
const begin = (): void => {
  house = spawn(process.execPath, ['--import', 'tsx', 'scripts/start.ts', '--empty'], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, JITEN_DATA: data, PORT: String(port) },
  });
  for (const stream of [house.stdout!, house.stderr!])
    stream.on('data', (chunk: Buffer) => (said = `${said}${chunk}`.slice(-20_000)));
};
const healthy = async (): Promise<void> => {
  for (let tries = 0; ; tries++) {
    const up = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(3000) }).then(
      (answer) => answer.ok,
      () => false,
    );
    if (up) return;
    if (tries > 600) throw new Error(`It did not come back:\n${said}`);
    await wait(100);
  }
};
const child = (name: string): number => {
  const path = join(data, 'run', 'children.json');
  const all = existsSync(path)
    ? (JSON.parse(readFileSync(path, 'utf8')) as Record<string, { pid: number }>)
    : {};
  return all[name]?.pid ?? 0;
};
const kill = (pid: number): void => {
  try {
    if (pid > 0) process.kill(pid, 'SIGKILL');
  } catch {
    // It was gone already.
  }
};

begin();
await healthy();
const STUDIO = {
  name: 'Kiln Lane',
  timeZone: 'UTC',
  temperatureUnit: 'C',
  lengthUnit: 'mm',
  massUnit: 'g',
  crackAtC: 100,
  unloadAtC: 40,
};
await fetch(`${url}/api/door/first-run`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({
    studio: STUDIO,
    name: 'Ada Thorne',
    login: 'ada',
    password: 'a-long-way-to-go',
  }),
});
let stopped = false;
const people = [0, 1, 2].map(() => new Person(url, () => stopped));
for (const one of people) await one.signIn();
const fields = {
  kind: 'stoneware',
  coneLow: '6',
  coneHigh: '6',
  ground: 'light',
  ironBearing: false,
  colour: '#ddccbb',
  notes: '',
  cautions: '',
};
const made = await people[0]!.act('store.save-body', {
  id: null,
  fields: { ...fields, name: 'Peat' },
});
const bodyId = (made!.data as { id: string }).id;
await people[0]!.act('tests.make', {
  kind: 'tile',
  bodyId,
  form: 'L tile',
  heightMm: 90,
  count: 1,
  marks: [],
  ownerId: null,
  madeOn: null,
  notes: 'pictured',
  faces: [{ no: 1, kind: 'bare', slipVersionId: null }],
  layers: [],
  exceptions: [],
  flag: '',
  waitingFor: 'glaze',
  wantedCone: '6',
  wantedAtmosphere: 'oxidation',
});
const document = (await (
  await fetch(`${url}/api/export/json`, { headers: { cookie: people[0]!.signedInBy } })
).json()) as { piece: { id: string }[] };
const work = [
  people[0]!.makesPieces(bodyId),
  people[1]!.addsBodies(fields),
  people[2]!.takesPictures(document.piece[0]!.id),
];
let failure: unknown = null;
for (const one of work) one.catch((error: unknown) => (failure = error));

const KILLED = ['application', 'database', 'start'] as const;
for (let round = 0; round < rounds && failure === null; round++) {
  const victim = KILLED[round % KILLED.length]!;
  // At any moment of their work.
  await wait(700 + Math.random() * 1500);
  if (victim === 'start') {
    const over = new Promise((resolve) => house.once('exit', resolve));
    house.kill('SIGKILL');
    await over;
    begin();
  } else kill(child(victim));
  await wait(200);
  await healthy();
  const sent = people.reduce((sum, one) => sum + one.sent.length, 0);
  process.stdout.write(`\rround ${round + 1} of ${rounds}, ${sent} sent `);
}
stopped = true;
await Promise.allSettled(work);
const over = new Promise((resolve) => house.once('exit', resolve));
house.kill('SIGTERM');
await over;
if (failure !== null) throw failure;

const folder = folderOf(data);
const sent: Sent[] = people.flatMap((one) => one.sent);
const wrong = await borrowServer(folder, 'npm run kills', async (server) => {
  const db = openOn(server, currentDatabase(folder));
  const where = {
    piece: ['piece', 'notes'],
    body: ['body', 'name'],
    picture: ['photo', 'sha'],
  } as const;
  const found: string[] = [];
  for (const { kind, mark, acknowledged } of sent) {
    const [table, column] = where[kind];
    const count = Number((await db(table).where(column, mark).count({ n: '*' }).first())?.n);
    const file = join(data, 'pictures', mark.slice(0, 2), `${mark}.original`);
    if (acknowledged && count === 0) found.push(`missing: ${mark}`);
    if (count > 1) found.push(`${count} times: ${mark}`);
    if (kind === 'picture' && count > 0 && !existsSync(file)) found.push(`its file is missing: ${mark}`);
  }
  const kept: unknown = await db('cell').orderBy('id');
  await db.transaction((trx) => rebuildSummaries(trx));
  if (JSON.stringify(kept) !== JSON.stringify(await db('cell').orderBy('id')))
    found.push('cells differ from those made anew');
  await db.destroy();
  return found;
});
const acknowledged = sent.filter((one) => one.acknowledged).length;
const again = sent.filter((one) => one.tries > 1).length;
console.log(
  `\n${rounds} kills, ${acknowledged} of ${sent.length} acknowledged, ${again} sent more than once`,
);
console.log(wrong.length === 0 ? '0 missing, 0 doubled' : wrong.join('\n'));
rmSync(directory, { recursive: true, force: true });
process.exit(wrong.length === 0 ? 0 : 1);
