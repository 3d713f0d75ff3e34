import { inflateSync } from 'node:zlib';

/** The words of a PDF: its streams unpacked, its text operators read. */
export function textOf(pdf: Buffer): string {
  const words: string[] = [];
  const raw = pdf.toString('latin1');
  for (const match of raw.matchAll(/stream\n([\s\S]*?)\nendstream/g)) {
    let content: string;
    try {
      content = inflateSync(Buffer.from(match[1]!, 'latin1')).toString('latin1');
    } catch {
      continue;
    }
    for (const line of content.matchAll(/\[(.*?)\] TJ/g))
      words.push(
        [...line[1]!.matchAll(/<([0-9a-f]+)>/g)]
          .map(([, hex]) => Buffer.from(hex!, 'hex').toString('latin1'))
          .join(''),
      );
  }
  return words.join('\n');
}
