import { inflateSync } from 'node:zlib';

/** Objects of a PDF by number. */
function objectsOf(raw: string): Map<string, string> {
  return new Map([...raw.matchAll(/(\d+) 0 obj\n([\s\S]*?)\nendobj/g)].map(([, id, body]) => [id!, body!]));
}

/** A stream unpacked; '' for what is none, or packed otherwise. */
function unpacked(body: string): string {
  const stream = /stream\n([\s\S]*?)\nendstream/.exec(body)?.[1];
  if (stream === undefined) return '';
  try {
    return inflateSync(Buffer.from(stream, 'latin1')).toString('latin1');
  } catch {
    return '';
  }
}

/** What the glyphs of an embedded typeface stand for: its ToUnicode table. */
function charactersOf(table: string): Map<number, string> {
  const found = new Map<number, string>();
  for (const [, from, , list] of table.matchAll(/<([0-9a-f]+)> <([0-9a-f]+)> \[([^\]]*)\]/gi))
    [...list!.matchAll(/<([0-9a-f ]+)>/gi)].forEach(([, hex], i) => {
      const units = hex!.replaceAll(' ', '').match(/.{4}/g) ?? [];
      found.set(parseInt(from!, 16) + i, String.fromCharCode(...units.map((unit) => parseInt(unit, 16))));
    });
  return found;
}

/** The words of a PDF: its streams unpacked, its text operators read by the typefaces it carries. */
export function textOf(pdf: Buffer): string {
  const objects = objectsOf(pdf.toString('latin1'));
  const fonts = new Map<string, Map<number, string>>();
  for (const body of objects.values())
    for (const [, name, id] of body.matchAll(/\/(F\d+) (\d+) 0 R/g)) {
      const table = /\/ToUnicode (\d+) 0 R/.exec(objects.get(id!) ?? '')?.[1];
      if (table !== undefined) fonts.set(name!, charactersOf(unpacked(objects.get(table)!)));
    }
  const words: string[] = [];
  for (const body of objects.values()) {
    let font = new Map<number, string>();
    for (const [, name, list] of unpacked(body).matchAll(/\/(F\d+) [\d.]+ Tf|\[(.*?)\] TJ/g)) {
      if (name !== undefined) font = fonts.get(name) ?? new Map();
      else
        words.push(
          [...list!.matchAll(/<([0-9a-f]+)>/g)]
            .flatMap(([, hex]) => hex!.match(/.{4}/g) ?? [])
            .map((glyph) => font.get(parseInt(glyph, 16)) ?? '')
            .join(''),
        );
    }
  }
  return words.join('\n');
}
