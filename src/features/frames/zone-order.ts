import { parseZoneKey } from '@/core/zones';
import type { FramedPhoto } from './of-piece';

/** So many zones that their colours stand beside the picture, in two columns, where there is room. */
export const many = ({ colours }: Pick<FramedPhoto, 'colours'>): boolean => colours.length > 2;

/** As the piece stands: face by face, from the rim down. */
export const inOrder = (colours: FramedPhoto['colours']): FramedPhoto['colours'] =>
  colours
    .map((colour) => ({ colour, at: parseZoneKey(colour.zone) }))
    .sort(
      (a, b) =>
        (a.at?.face ?? 0) - (b.at?.face ?? 0) ||
        (b.at?.stretch.from ?? 0) - (a.at?.stretch.from ?? 0),
    ) // prettier-ignore
    .map(({ colour }) => colour);
