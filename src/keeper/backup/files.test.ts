/** @jest-environment node */
import { pbkdf2 } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { setTimeout as pause } from 'node:timers/promises';
import { copyWhole, weigh, writeText } from './files';

const directory = mkdtempSync(join(tmpdir(), 'jiten-files-'));
afterAll(() => rmSync(directory, { recursive: true, force: true }));

/** A busy machine: whatever asks the disk for something waits its turn. */
const busy = (): Promise<unknown> =>
  Promise.all(
    Array.from({ length: 8 }, () => new Promise((done) => pbkdf2('a', 'b', 200_000, 32, 'sha256', done))),
  );

test('a file appears whole, with its weight', async () => {
  const path = join(directory, 'whole');
  const written = await writeText(path, 'two pots');
  expect(readFileSync(path, 'utf8')).toBe('two pots');
  expect(written).toEqual(await weigh(path));
  rmSync(path);
});

test('what breaks off before its file is open leaves none, on a busy machine too', async () => {
  const working = busy();
  const broken = (): Readable =>
    new Readable({
      read() {
        this.destroy(new Error('cut off'));
      },
    });
  const ends = await Promise.allSettled(
    Array.from({ length: 200 }, (_, at) => copyWhole(broken(), join(directory, `cut ${at}`))),
  );
  expect(ends.every((end) => end.status === 'rejected')).toBe(true);
  await working;
  await pause(50);
  expect(readdirSync(directory)).toEqual([]);
}, 30_000);

test('a folder that is not there is said', async () => {
  await expect(writeText(join(directory, 'none', 'x'), 'x')).rejects.toThrow('ENOENT');
});
