/** What a column of past tests may hold. Coatings and coats are numbered in the order they went on. */
export const PLAIN_COLUMNS = [
  'code',
  'mark',
  'body',
  'form',
  'stack',
  'key',
  'cone',
  'atmosphere',
  'date',
  'kiln',
  'surface',
  'colour',
  'movement',
  'defects',
  'rating',
  'verdict',
  'note',
] as const;
export const MAX_COATS = 6;

type Plain = (typeof PLAIN_COLUMNS)[number];
export type Column = Plain | `coating ${number}` | `coats ${number}` | `method ${number}`;

export const KNOWN_COLUMNS: readonly Column[] = [
  ...PLAIN_COLUMNS.slice(0, 6),
  ...Array.from(
    { length: MAX_COATS },
    (_, i) => [`coating ${i + 1}`, `coats ${i + 1}`, `method ${i + 1}`] as const,
  ).flat(),
  ...PLAIN_COLUMNS.slice(6),
];

const SYNONYMS: Record<Plain, readonly string[]> = {
  code: ['code', 'piece code'],
  mark: ['mark', 'number', 'no', 'nr', 'tile', 'tile number', 'test', 'test number', 'id', 'name', 'label'],
  body: ['body', 'clay', 'clay body', 'claybody'],
  form: ['form', 'shape', 'tile form'],
  stack: ['stack', 'coatings', 'glazes', 'layers', 'combination', 'combo'],
  key: ['key', 'certainty', 'how sure', 'sure'],
  cone: ['cone', 'cone reached', '∆', 'δ', '^'],
  atmosphere: ['atmosphere', 'atm', 'firing type'],
  date: ['date', 'firing date', 'fired', 'fired on', 'when', 'day'],
  kiln: ['kiln'],
  surface: ['surface', 'finish', 'sheen'],
  colour: ['colour', 'color'],
  movement: ['movement', 'movement mm', 'run', 'run mm', 'ran mm', 'runs', 'ran', 'flow'],
  defects: ['defects', 'defect', 'faults', 'fault', 'problems'],
  rating: ['rating', 'stars', 'score'],
  verdict: ['verdict', 'decision'],
  note: ['note', 'notes', 'result', 'results', 'comment', 'comments', 'remarks', 'observations'],
};

const plain = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[_.:#()]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** What a heading probably means; null when nobody can tell. */
export function guessColumn(title: string): Column | null {
  const text = plain(title);
  if (text === '') return null;
  const numbered =
    /^(coating|glaze|layer|coats?|dips?|method|application)\s*([1-6])$|^([1-6])(?:st|nd|rd|th)?\s*(coating|glaze|layer|coats?|dips?|method)$/.exec(
      text,
    );
  if (numbered) {
    const word = (numbered[1] ?? numbered[4]) as string;
    const no = Number(numbered[2] ?? numbered[3]);
    if (/^(coats?|dips?)$/.test(word)) return `coats ${no}`;
    if (/^(method|application)$/.test(word)) return `method ${no}`;
    return `coating ${no}`;
  }
  if (text === 'glaze' || text === 'coating' || text === 'base' || text === 'base glaze') return 'coating 1';
  if (text === 'over' || text === 'over glaze' || text === 'overglaze' || text === 'top glaze')
    return 'coating 2';
  if (text === 'coats' || text === 'dips') return 'coats 1';
  for (const column of PLAIN_COLUMNS) if (SYNONYMS[column].includes(text)) return column;
  return null;
}
