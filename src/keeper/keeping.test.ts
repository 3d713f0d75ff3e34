/** Things that fall over, and how often they are picked up. */
import { setTimeout as wait } from 'node:timers/promises';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { killWhenSilent } from './application';
import { keep, type Running } from './keep';
import { Restarts } from './restarts';

/** Something that runs until it is told, or falls by itself. */
class Thing implements Running {
  private end!: () => void;
  stopped = false;
  readonly ended = new Promise<void>((resolve) => (this.end = resolve));
  fall(): void {
    this.end();
  }
  stop(): Promise<void> {
    this.stopped = true;
    this.end();
    return this.ended;
  }
}

test('five falls within a minute are picked up, the sixth is not; a minute later all is forgotten', () => {
  const restarts = new Restarts();
  const tries = [0, 1, 2, 3, 4, 5].map((i) => restarts.again(i * 10_000));
  expect(tries).toEqual([true, true, true, true, true, false]);
  expect(restarts.again(70_001)).toBe(true);
});

/** Waits until it is so, as long as a test may take. */
async function until(so: () => boolean): Promise<void> {
  while (!so()) await wait(10);
}

async function kept(begin: () => Promise<Thing>) {
  const words: string[] = [];
  let over = '';
  const one = await keep(begin, {
    name: 'thing',
    fell: (word) => words.push(word),
    gaveUp: (word) => (over = word),
  });
  return { one, words, over: () => over };
}

test('what ends by itself is begun again with a word; what is stopped stays stopped', async () => {
  const things: Thing[] = [];
  const { one, words } = await kept(async () => {
    things.push(new Thing());
    return things.at(-1)!;
  });
  things[0]!.fall();
  await until(() => one.now() === things[1]);
  expect(things).toHaveLength(2);
  expect(words).toEqual(['The thing ended by itself and is started again.']);
  await one.stop();
  await wait(400);
  expect(things).toHaveLength(2);
  expect(things[1]!.stopped).toBe(true);
});

test('what falls at once, again and again, is given up civilly', async () => {
  let begun = 0;
  const { words, over } = await kept(async () => {
    begun++;
    const thing = new Thing();
    setTimeout(() => thing.fall(), 5);
    return thing;
  });
  await until(() => over() !== '');
  expect(over()).toMatch(/^The thing ended more than 5 times in a minute/);
  expect(begun).toBe(6);
  expect(words).toHaveLength(5);
});

test('a beginning that fails counts as a fall, and its own words are told', async () => {
  let begun = 0;
  const first = new Thing();
  const { words, over } = await kept(async () => {
    begun++;
    if (begun === 1) return first;
    throw new Error('no room');
  });
  first.fall();
  await until(() => over() !== '');
  expect(words.filter((word) => word === 'no room')).toHaveLength(5);
  expect(begun).toBe(6);
});

test('a renewal does its work while nothing runs, and begins again though the work fails', async () => {
  const things: Thing[] = [];
  const { one, words } = await kept(async () => {
    things.push(new Thing());
    return things.at(-1)!;
  });
  let ranMeanwhile = true;
  await one.renew(async () => {
    ranMeanwhile = !things[0]!.stopped;
  });
  expect(ranMeanwhile).toBe(false);
  await expect(one.renew(() => Promise.reject(new Error('nothing was changed')))).rejects.toThrow(
    'nothing was changed',
  );
  expect(things).toHaveLength(3);
  expect(one.now()).toBe(things[2]);
  // That was meant: nobody is told of a fall.
  expect(words).toEqual([]);
  things[2]!.fall();
  await until(() => one.now() === things[3]);
  expect(things).toHaveLength(4);
  await one.stop();
});

test('an application that takes a question and answers nothing is ended after some tries; one that answers is not', async () => {
  let silent = false;
  let [answered, unanswered] = [0, 0];
  const server = createServer((_, to) => {
    if (silent) return void unanswered++;
    // That its database is away is an answer, too.
    answered++;
    to.writeHead(503).end();
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  let killed = 0;
  const stop = killWhenSilent(url, () => killed++, { everyMs: 10, answerMs: 1000, times: 4 });
  await until(() => answered > 10);
  expect(killed).toBe(0);
  silent = true;
  await until(() => unanswered >= 4);
  expect(killed).toBe(0);
  await until(() => killed > 0);
  stop();
  server.closeAllConnections();
  server.close();
});
