import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Face, Layer } from '@/core/zones';
import { Section } from '@/ui/Page';
import { PiecePicture } from '../../media';
import { BeforeAfter } from '../components/BeforeAfter';
import { FrameIt } from '../components/FrameIt';
import { many } from '../zone-order';
import type { framedPhotos } from '../framed';
import { facesToFrame, laidByFace } from '../of-piece';

type Framed = Awaited<ReturnType<typeof framedPhotos>>;

/** The pictures of a piece with what is framed in them, and those of one face laid on one another. */
export function PiecePictures({
  piece,
  framed,
  firings,
  mayFrame,
  mayBin,
  pins,
  more,
}: {
  piece: { code: string; faces: readonly Face[]; done: readonly Layer[]; known: boolean };
  framed: Framed;
  /** In their order: which glaze firing of the piece each was. */
  firings: readonly { firingId: string; generation: number; label: string }[];
  mayFrame: boolean;
  mayBin: boolean;
  /** Where signs were shown, as they lie in a picture. */
  pins: (photo: Framed['photos'][number]) => { x: number; y: number; sign: string }[];
  /** The place for another picture. */
  more: ReactNode;
}) {
  const last = Math.max(1, ...firings.map(({ generation }) => generation));
  const facesIn = (generation: number) => facesToFrame(piece.faces, piece.done, generation);
  const laid = piece.known ? laidByFace(framed.photos, facesIn(last), firings) : [];
  return (
    <>
      <Section title="Pictures">
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          {framed.photos.map((photo) => (
            <Box key={photo.id} sx={{ display: { xs: 'block', sm: many(photo) ? 'flex' : 'block' }, gap: 2 }}>
              <PiecePicture photo={photo} code={piece.code} edit={mayBin} pins={pins(photo)} />
              <FrameIt
                photo={photo}
                faces={
                  piece.known
                    ? facesIn(firings.find(({ firingId }) => firingId === photo.firingId)?.generation ?? last)
                    : []
                }
                card={framed.card}
                repeats={framed.repeats}
                code={piece.code}
                edit={mayFrame}
                crop={mayBin}
              />
            </Box>
          ))}
          {more}
        </Box>
      </Section>
      {laid.length > 0 && (
        <Section title="Before and after">
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3 }}>
            {laid.map(({ face, pictures }) => (
              <BeforeAfter key={face} face={face} pictures={pictures} />
            ))}
          </Box>
        </Section>
      )}
    </>
  );
}
