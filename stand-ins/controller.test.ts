import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { runController } from './controller';
import { coldKiln, control, ELECTRIC, fire, shown, step } from './kiln';
import { gaussian } from './noise';

const HOUR = 3_600_000;
const FIRING = [
  { rate: 300, target: 600, holdMinutes: 10 },
  { rate: 100, target: 700, holdMinutes: 0 },
];

type Sent = { at: string; celsius: number };

/** A server on loopback that answers as told, and remembers what it took. */
async function listener(
  answer: (batch: number) => number,
): Promise<{ url: string; taken: Sent[]; batches: () => number; server: Server }> {
  const taken: Sent[] = [];
  let batches = 0;
  const server = createServer((request, response) => {
    let body = '';
    request.on('data', (part: Buffer) => (body += part.toString()));
    request.on('end', () => {
      const status = answer(batches++);
      if (status === 200) taken.push(...(JSON.parse(body) as { readings: Sent[] }).readings);
      response.writeHead(status, { 'content-type': 'application/json' });
      response.end(
        JSON.stringify(status === 200 ? { ok: true } : { ok: false, problem: { message: `said ${status}` } }),
      );
    });
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as AddressInfo;
  return { url: `http://127.0.0.1:${port}`, taken, batches: () => batches, server };
}
const close = (server: Server): Promise<void> =>
  new Promise((done) => {
    server.closeAllConnections();
    server.close(() => done());
  });

const options = (url: string) => ({
  url,
  token: 't',
  kiln: ELECTRIC,
  segments: FIRING,
  noise: gaussian(1),
  since: new Date(Date.now() - 6 * HOUR),
  every: 60,
  batch: 50,
  until: 4 * 3600,
});

test('it sends every reading once, in order, with the times they were taken', async () => {
  const { url, taken, server } = await listener(() => 200);
  const sent = await runController(options(url));
  expect(sent).toBe(241);
  expect(taken).toHaveLength(241);
  const times = taken.map(({ at }) => Date.parse(at));
  expect(times.every((time, i) => i === 0 || time - times[i - 1]! === 60_000)).toBe(true);
  await close(server);
});

test('what a server that is away did not take is sent when it is back', async () => {
  const { url, taken, batches, server } = await listener((batch) => (batch < 3 ? 503 : 200));
  expect(await runController(options(url))).toBe(241);
  expect(taken).toHaveLength(241);
  expect(new Set(taken.map(({ at }) => at)).size).toBe(241);
  expect(batches()).toBeGreaterThan(3);
  await close(server);
});

test('a token that does not hold any more ends it, with the server’s words', async () => {
  const { url, server } = await listener(() => 401);
  await expect(runController(options(url))).rejects.toThrow('said 401');
  await close(server);
});

test('it can be stopped at any moment', async () => {
  const { url, server } = await listener(() => 200);
  const stop = new AbortController();
  const running = runController({ ...options(url), speed: 600, signal: stop.signal });
  setTimeout(() => stop.abort(), 150);
  expect(await running).toBeLessThan(241);
  await close(server);
});

describe('the kiln that is not there', () => {
  test('with no power it stays at the room, and heat goes the way heat goes', () => {
    const cold = step(ELECTRIC, coldKiln(ELECTRIC), 0, 3600);
    expect(cold.chamber).toBeCloseTo(20, 6);
    const hot = step(ELECTRIC, coldKiln(ELECTRIC), 1, 3600);
    expect(hot.chamber).toBeGreaterThan(hot.brick);
    expect(hot.brick).toBeGreaterThan(20);
    const later = step(ELECTRIC, hot, 0, 36_000);
    expect(later.chamber).toBeLessThan(hot.chamber);
    expect(later.chamber).toBeGreaterThan(20);
  });

  test('shorter steps come to the same', () => {
    let fine = coldKiln(ELECTRIC);
    for (let i = 0; i < 360; i++) fine = step(ELECTRIC, fine, 0.7, 10);
    const coarse = step(ELECTRIC, coldKiln(ELECTRIC), 0.7, 3600);
    expect(Math.abs(fine.chamber - coarse.chamber)).toBeLessThan(2);
  });

  test('it follows its schedule; worn elements stall below its top; an open door cools it', () => {
    const quiet = (): number => 0;
    const good = fire(ELECTRIC, [{ rate: 150, target: 1200, holdMinutes: 10 }], quiet);
    expect(Math.max(...good.truth.map(({ c }) => c))).toBeGreaterThan(1195);
    expect(Math.max(...good.truth.map(({ c }) => c))).toBeLessThan(1210);
    const worn = fire(
      { ...ELECTRIC, elements: 0.35 },
      [{ rate: 150, target: 1200, holdMinutes: 10 }],
      quiet,
      { until: 20 * 3600 },
    );
    expect(Math.max(...worn.truth.map(({ c }) => c))).toBeLessThan(1100);
    const hot = { ...coldKiln(ELECTRIC), chamber: 800, brick: 750 };
    const shut = step(ELECTRIC, hot, 0, 600);
    const open = step(ELECTRIC, { ...hot, door: true }, 0, 600);
    expect(open.chamber).toBeLessThan(shut.chamber - 30);
  });

  test('a thermocouple that reads low shows less than there is; the controller believes it', () => {
    const kiln = { ...ELECTRIC, readsLow: 20, jitter: 0 };
    expect(shown(kiln, { ...coldKiln(kiln), chamber: 1000 }, () => 0)).toBe(980);
    const { truth } = fire(kiln, [{ rate: 150, target: 1000, holdMinutes: 10 }], () => 0);
    expect(Math.max(...truth.map(({ c }) => c))).toBeGreaterThan(1014);
    expect(control(coldKiln(kiln), 500, null, 60)).toEqual({ power: 0, integral: 0 });
    expect(control(coldKiln(kiln), 20, 500, 60).power).toBe(1);
  });

  test('noise has mean 0 and spread 1, and is the same for the same seed', () => {
    const [a, b] = [gaussian(5), gaussian(5)];
    const numbers = Array.from({ length: 20_000 }, () => a());
    const mean = numbers.reduce((sum, one) => sum + one, 0) / numbers.length;
    const spread = Math.sqrt(numbers.reduce((sum, one) => sum + (one - mean) ** 2, 0) / numbers.length);
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(Math.abs(spread - 1)).toBeLessThan(0.03);
    expect(Array.from({ length: 5 }, () => b())).toEqual(numbers.slice(0, 5));
  });
});
