/**
 * What a person's device keeps before it is needed: the firings that are loaded, burn, cool or are being
 * opened.
 */
import type { Source } from '@/data/database';
import { openFirings } from '@/data/firings';
import type { Person } from '@/data/people';
import { listPhotos } from '@/data/photos';
import { listPlacements, ownUnwritten } from '@/data/placements';
import { firingTitle } from '@/core/firing';
import type { AtHand } from '@/offline/names';
import { pictureUrl } from '@/ui/picture-url';
import { may } from '../people';

/** A device is no archive: so many firings, the ones nearest to being opened first. */
const MOST_FIRINGS = 8;
const MOST_PICTURES = 600;

const NEAREST = ['opened', 'cooling', 'firing', 'loaded'];

/** Addresses of pages and pictures for whoever asks; of a student only what is theirs. */
export async function atHand(src: Source, person: Person): Promise<AtHand> {
  const device = { url: '/device', title: 'On this device' };
  if (!may(person, 'keep records')) {
    const own = await ownUnwritten(src, person.id);
    return {
      person: person.id,
      pages: [
        { url: '/mine', title: 'My pieces' },
        device,
        ...own.map((one) => ({ url: `/opening/${one.firingId}`, title: 'Opening' })),
      ],
      pictures: [],
    };
  }
  const firings = (await openFirings(src))
    .map(({ firing }) => firing)
    .filter(({ status }) => NEAREST.includes(status))
    .sort((a, b) => NEAREST.indexOf(a.status) - NEAREST.indexOf(b.status))
    .slice(0, MOST_FIRINGS);
  const placed = await Promise.all(firings.map(({ id }) => listPlacements(src, { firingId: id })));
  const pieceIds = [...new Set(placed.flat().map(({ pieceId }) => pieceId))];
  const photos = pieceIds.length === 0 ? [] : await listPhotos(src, { pieceIds });
  return {
    person: person.id,
    pages: [
      { url: '/bench', title: 'Bench' },
      { url: '/kilns', title: 'Kilns' },
      device,
      ...firings.flatMap((firing) => [
        ...(firing.status === 'loaded'
          ? []
          : [{ url: `/opening/${firing.id}`, title: `Opening ${firingTitle(firing)}` }]),
        { url: `/kilns/firings/${firing.id}`, title: firingTitle(firing) },
      ]),
    ],
    // Opening mode shows the newest of each piece.
    pictures: [...new Set(photos.map(({ sha }) => sha))]
      .slice(0, MOST_PICTURES)
      .map((sha) => pictureUrl(sha, 'medium')),
  };
}
