/** What the application and the keeper say, written down in the data folder and thrown away in time. */
import { mkdirSync } from 'node:fs';
import { createStream, type RotatingFileStream } from 'rotating-file-stream';
import type { Folder } from './folder';

const LEVEL = { word: 30, fall: 50 } as const;

export type LogBook = {
  /** Lines as the application wrote them. */
  lines(bytes: Buffer): void;
  /** A word of the keeper's own. */
  note(kind: keyof typeof LEVEL, words: string): void;
  close(): void;
};

/** Opens the book; a full disk loses lines, not the studio. */
export function openLogBook(folder: Folder): LogBook {
  mkdirSync(folder.logs, { recursive: true, mode: 0o700 });
  const book: RotatingFileStream = createStream('studio.log', {
    path: folder.logs,
    size: '5M',
    interval: '1d',
    maxFiles: 14,
    mode: 0o600,
  });
  book.on('error', () => undefined);
  return {
    lines: (bytes) => void book.write(bytes),
    note(kind, words) {
      const line = { level: LEVEL[kind], time: Date.now(), where: 'keeper', msg: words };
      book.write(`${JSON.stringify(line)}\n`);
    },
    close: () => void book.end(),
  };
}
