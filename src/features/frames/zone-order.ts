import { compareZones } from '@/core/zones';
import type { FramedPhoto } from './of-piece';

/** So many zones that their colours stand beside the picture, in two columns, where there is room. */
export const many = ({ colours }: Pick<FramedPhoto, 'colours'>): boolean => colours.length > 2;

/** As the piece stands: face by face, from the rim down. */
export const inOrder = (colours: FramedPhoto['colours']): FramedPhoto['colours'] =>
  [...colours].sort((a, b) => compareZones(a.zone, b.zone));
