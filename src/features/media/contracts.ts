import { z } from 'zod';
import { answers, contract, toggled, withFile } from '@/platform/contract';

const MAX_PICTURE_BYTES = 40 * 1024 * 1024;

export const addPictureSchema = z.object({ pieceId: z.uuid(), firingId: z.uuid().nullable() });
export const addPicture = withFile(
  contract(
    'media.add-picture',
    addPictureSchema,
    answers<{
      id: string;
      sha: string;
      /** It was not there before, or had been put away. */
      added: boolean;
    }>(),
  ),
  MAX_PICTURE_BYTES,
);

export const binPhotoSchema = z.object({ photoId: z.uuid(), binned: z.boolean() });
export const binPicture = toggled(contract('media.bin-picture', binPhotoSchema), 'binned');
