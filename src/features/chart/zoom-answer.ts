/** A zoom as it is sent: made once for all who may see the same of it, until something of it changes. */
import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { Source } from '@/data/database';
import { maySeePiece } from '@/features/people';
import type { Viewer } from '@/platform/who';
import { boardOfView } from './queries';
import { zoomData, zoomFor, type AnyZoom, type Eyes } from './zoom';

export type Sent = { plain: Buffer; small: Buffer; mark: string };

const squeeze = promisify(gzip);
const kept = new WeakMap<AnyZoom, Map<string, Promise<Sent>>>();

async function written(zoom: object): Promise<Sent> {
  const plain = Buffer.from(JSON.stringify({ ok: true, data: zoom }));
  const mark = `"${createHash('sha256').update(plain).digest('base64url')}"`;
  return { plain, small: await squeeze(plain), mark };
}

/** What is behind the position that an address names; through a share link, of the board that it shows. */
export async function zoomAnswer(
  src: Source,
  { person, link }: Viewer,
  query: URLSearchParams,
): Promise<Sent> {
  const get = (name: string): string => query.get(name) ?? '';
  const cell = query.get('cell');
  const of = cell === null ? { base: get('base'), over: query.get('over') } : { cell };
  const board =
    link === null
      ? {
          body: get('body'),
          cone: get('cone'),
          atmosphere: get('atmosphere'),
          slips: get('ground'),
        }
      : await boardOfView(src, link.view);
  const zoom = await zoomData(src, board, of);
  const eyes: Eyes = person === null ? null : (piece) => maySeePiece(person, piece);
  // Whoever may see the same pieces is sent the same.
  const same = eyes === null ? 'link' : zoom.pieces.map((piece) => Number(eyes(piece))).join('');
  const versions = kept.get(zoom) ?? new Map<string, Promise<Sent>>();
  kept.set(zoom, versions);
  const made = versions.get(same) ?? written(zoomFor(zoom, eyes));
  versions.set(same, made);
  return made;
}
