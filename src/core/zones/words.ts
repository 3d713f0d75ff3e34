import { count as counted } from '../units';
import { describeRegion, EVERYWHERE } from './region';
import { slipKey } from './keys';
import type { Face, Layer, StackEntry, Zone } from './types';
import { zonesOfFace } from './zones';

const CLASS_WORDS: Record<string, [one: string, many: string]> = {
  dip: ['dip', 'dips'],
  brush: ['coat', 'coats'],
  spray: ['sprayed coat', 'sprayed coats'],
  trail: ['trailed', 'trailed'],
  sponge: ['sponged coat', 'sponged coats'],
  inlay: ['inlaid', 'inlaid'],
  wiped: ['wiped back', 'wiped back'],
};

/** "dip×2 thin" → "2 dips, thin". */
export function describeAmount(amount: string): string {
  const match = /^([a-z-]+)×(\d+)(?: (.+))?$/.exec(amount);
  if (!match) return amount;
  const [, method, coats, weight] = match;
  const count = Number(coats);
  const [one, many] = CLASS_WORDS[method as string] ?? [method as string, `${method}s`];
  const bare = one === many && count === 1;
  return `${bare ? '' : `${count} `}${count === 1 ? one : many}${weight ? `, ${weight}` : ''}`;
}

/** Gives a coating's name for its slug; a version of its own has one where it is a blend of many. */
export type CoatName = (slug: string, version: number) => string;

/** Names from a list by slug, with those of single versions by slug#version. */
export const nameIn =
  (names: Readonly<Record<string, string>>): CoatName =>
  (slug, version) =>
    names[`${slug}#${version}`] ?? names[slug] ?? slug;

/** Slips of a ground as its key has them, in names, undermost first: "Soot Slip", "light slip". */
export const slipNames = (slips: string, name: CoatName): string[] =>
  slips === ''
    ? []
    : slips.split(' + ').map((slip) => {
        const [slug = '', version] = slip.split('#');
        if (version === undefined) return slip;
        return `${name(slug, Number(version))}${version === '1' ? '' : ` v${version}`}`;
      });

/**
 * What lies at a spot as people say it, top first, down to the body: "Tarn over Pitch on Peat",
 * "Yard Clear over Soot Slip on Saltbox", "bare Saltbox". Without a body's name it ends above it.
 */
export function describeStack(
  stack: readonly StackEntry[],
  slips: string,
  names: { coat: CoatName; body: string | null },
  options: { amounts: boolean } = { amounts: false },
): string {
  const lying = [
    ...slipNames(slips, names.coat),
    ...stack.map(({ coat, amount }) => {
      const name = names.coat(coat.slug, coat.version);
      return options.amounts ? `${name} (${describeAmount(amount)})` : name;
    }),
  ].reverse();
  const on = names.body === null ? '' : ` on ${names.body}`;
  return lying.length === 0 ? `bare${on.replace(' on', '')}` : `${lying.join(' over ')}${on}`;
}

/** What lies on one zone of a face, down to the body. */
export const describeZone = (
  zone: Pick<Zone, 'stack' | 'ground'>,
  face: Pick<Face, 'kind' | 'slip'>,
  names: { coat: CoatName; body: string | null },
  options?: { amounts: boolean },
): string => describeStack(zone.stack, slipKey(face, zone.ground), names, options);

const FACE_WORDS: Record<Face['kind'], string> = {
  bare: 'bare body',
  'light-slip': 'light slip',
  'dark-slip': 'dark slip',
  textured: 'textured',
};

/** A side of a piece: of ware by its surface, of a tile by its ground; and the slip that lies there. */
export function faceWords(face: Pick<Face, 'kind' | 'slip' | 'surface'>, name: CoatName): string {
  const ground = face.slip === null ? FACE_WORDS[face.kind] : name(face.slip.slug, face.slip.version);
  if (face.surface == null) return ground;
  return face.kind === 'bare' && face.slip === null ? face.surface : `${face.surface}, ${ground}`;
}

type Side = Pick<Face, 'no' | 'kind' | 'slip' | 'surface'>;

/**
 * A side as it is told from the others of its piece: '' where there is but one; by its number besides where
 * two are alike.
 */
export function sideWords(face: Side, faces: readonly Side[], name: CoatName): string {
  if (faces.length < 2) return '';
  const words = faceWords(face, name);
  const alike = faces.filter((one) => faceWords(one, name) === words).length > 1;
  return alike ? `${words}, side ${face.no}` : words;
}

/**
 * Where on a piece a zone is: "light slip, upper third", "inside"; of a surface of ware all of it goes
 * without saying. A side that the piece has no longer is called by its number.
 */
export function whereOnPiece(
  zone: { face: number } & Parameters<typeof describeRegion>[0],
  faces: readonly Side[],
  name: CoatName,
): string {
  const face = faces.find(({ no }) => no === zone.face);
  const region = describeRegion(zone);
  if (face === undefined) return `side ${zone.face}, ${region}`;
  const side = sideWords(face, faces, name);
  if (side === '') return region;
  return face.surface != null && region === describeRegion(EVERYWHERE) ? side : `${side}, ${region}`;
}

const MOST = 3;

/** How sure it is what lies on a piece: its key is on record, somebody's recollection, or lost. */
export const KEYS = ['sure', 'likely', 'lost'] as const;
export type KeyKnown = (typeof KEYS)[number];

/** Where nobody knows what lies on a piece: never called bare. */
export const COATS_UNKNOWN = 'nobody knows what is on it';
/** Beside what lies on a piece where it is somebody's recollection. */
export const KEY_LIKELY = 'what is on it is likely so, not on record';

/** What lies on a piece, zone by zone from the rim down, each said once; long lists are cut. */
export function describePiece(
  faces: readonly Face[],
  layers: readonly Layer[],
  names: { coat: CoatName; body: string | null },
  key: KeyKnown = 'sure',
): string {
  if (key === 'lost') return COATS_UNKNOWN;
  const said = new Set<string>();
  for (const face of faces)
    for (const zone of zonesOfFace(face, layers).reverse()) said.add(describeZone(zone, face, names));
  const all = [...said];
  const words =
    all.length <= MOST ? all.join('; ') : `${all.slice(0, MOST).join('; ')} and ${all.length - MOST} more`;
  return key === 'likely' ? `likely ${words}` : words;
}

/**
 * What was done otherwise than meant, layer by layer, in words. Empty when nothing differs. Coats that
 * were put on for a later firing than any that was meant are another intention, not a deviation.
 */
export function deviations(
  meant: readonly Layer[],
  put: readonly Layer[],
  name: (slug: string) => string,
): string[] {
  const found: string[] = [];
  const last = Math.max(1, ...meant.map(({ generation }) => generation));
  const done = put.filter(({ generation }) => generation <= last);
  const count = Math.max(meant.length, done.length);
  for (let i = 0; i < count; i++) {
    const [a, b] = [meant[i], done[i]];
    const nth = `Layer ${i + 1}`;
    if (a === undefined && b !== undefined) {
      found.push(`${nth}: ${name(b.coat.slug)} was put on though it was not meant.`);
    } else if (a !== undefined && b === undefined) {
      found.push(`${nth}: ${name(a.coat.slug)} was meant but not put on.`);
    } else if (a !== undefined && b !== undefined) {
      const changes: string[] = [];
      if (a.coat.slug !== b.coat.slug) changes.push(`${name(b.coat.slug)} instead of ${name(a.coat.slug)}`);
      else if (a.coat.version !== b.coat.version) {
        changes.push(`${name(b.coat.slug)} version ${b.coat.version} instead of ${a.coat.version}`);
      }
      if (a.method !== b.method) changes.push(`${b.method} instead of ${a.method}`);
      if (a.coats !== b.coats) changes.push(`${b.coats} instead of ${counted(a.coats, 'coat')}`);
      if (a.weight !== b.weight) changes.push(`${b.weight} instead of ${a.weight}`);
      if (b.seconds !== null && a.seconds !== null && a.seconds !== b.seconds) {
        changes.push(`${b.seconds} s instead of ${a.seconds} s`);
      }
      if (a.stage !== b.stage) changes.push(`on ${b.stage} instead of ${a.stage}`);
      if (a.driedBefore === true && b.driedBefore === false) changes.push('not dried before it');
      const [was, is] = [describeRegion(a.region), describeRegion(b.region)];
      if (was !== is) changes.push(`${is} instead of ${was}`);
      if (changes.length > 0) found.push(`${nth}: ${changes.join('; ')}.`);
    }
  }
  return found;
}
