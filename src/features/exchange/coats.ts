/** What a row says lies on the piece, and how surely: sure, likely, or its key is lost. */
import { parseNumber } from '@/core/units';
import {
  BARE_WORD,
  LOST_WORD,
  METHODS,
  UNKNOWN_WORD,
  writtenName,
  writtenStack,
  type WrittenCoat,
} from '@/core/zones';
import { MAX_COATS } from './columns';
import { joinNote, keep, type Get, type ImportRow } from './row';

type Written = WrittenCoat & { method: string };

/** Every coat that is written, first on first, bare ones left out; whether bare was said. */
function written(get: Get): { coats: Written[]; bare: boolean } {
  const numbered: Written[] = [];
  let bare = false;
  for (let n = 1; n <= MAX_COATS; n++) {
    const text = get(`coating ${n}`);
    if (BARE_WORD.test(text)) bare = true;
    if (text === '' || BARE_WORD.test(text)) continue;
    // Several in one field, "Tarn over Pitch", are several coats.
    const several = writtenStack(text);
    for (const one of several)
      numbered.push({
        coating: one.coating,
        coats: several.length === 1 ? get(`coats ${n}`) || one.coats : one.coats,
        method: get(`method ${n}`),
      });
  }
  if (numbered.length > 0) return { coats: numbered, bare };
  const stack = get('stack');
  return BARE_WORD.test(stack)
    ? { coats: [], bare: true }
    : { coats: writtenStack(stack).map((one) => ({ ...one, method: '' })), bare };
}

function readKey(text: string, row: ImportRow): ImportRow['key'] | null {
  const plain = text.trim().toLowerCase();
  if (plain === '') return null;
  if (/^(sure|certain|yes|known)$/.test(plain)) return 'sure';
  if (/^(likely|probably|probable|maybe|perhaps|guess(ed)?|from memory|\?)$/.test(plain)) return 'likely';
  if (LOST_WORD.test(plain) || UNKNOWN_WORD.test(plain) || plain === 'no') return 'lost';
  keep(row, 'Key', text, 'not one of sure, likely, lost');
  return null;
}

function readCoat({ coating, coats, method }: Written, row: ImportRow): ImportRow['coats'][number] {
  let count = 1;
  if (coats !== '') {
    const read = parseNumber(coats);
    if (read.ok && Number.isInteger(read.value) && read.value >= 1 && read.value <= 20) count = read.value;
    else keep(row, `Coats of ${coating}`, coats, 'no whole number from 1 to 20, taken as one');
  }
  const said = method.toLowerCase();
  const known = METHODS.find((one) => one === said || (said !== '' && said.startsWith(one)));
  if (said !== '' && known === undefined) row.warnings.push(`Method “${method}” is not known.`);
  return { coating, coats: count, method: known ?? null };
}

/**
 * Reads the coats of a row and how sure they are. What nothing is said of is not bare: bare is written
 * as "none". One coat that nobody knows makes the whole stack unknown; the others go into the note.
 */
export function readCoats(get: Get, row: ImportRow): void {
  const { coats, bare } = written(get);
  const said = readKey(get('key'), row);
  const read = coats.map(({ coating }) => writtenName(coating));
  const unknown = read.map((one) => one.unknown);
  if (said === 'lost' || unknown.some(Boolean) || (coats.length === 0 && !bare)) {
    row.key = 'lost';
    if (unknown.some((one) => !one))
      row.note = joinNote(
        row.note,
        `On it, as written: ${coats.map(({ coating, coats }) => (coats === '' ? coating : `${coating} × ${coats}`)).join(', ')}`,
      );
    row.warnings.push(
      coats.length === 0 && said === null
        ? 'Nothing says what is on it: its key is lost and it stands on no cell. Bare clay is written “none”.'
        : 'Nobody knows all that is on it: its key is lost and it stands on no cell.',
    );
    return;
  }
  const doubted = read.some((one) => one.doubted);
  row.key = said ?? (doubted ? 'likely' : 'sure');
  row.coats = coats.map((coat, i) => readCoat({ ...coat, coating: read[i]!.name }, row));
}
