import type { MouseEvent } from 'react';
import type { Post, Shelf } from '@/core/load';

/** Pixels of a drawn shelf; millimetres follow. */
export const DRAWN_WIDTH = 300;
export const scaleOf = (shelf: Shelf): number => DRAWN_WIDTH / shelf.widthMm;

/** The outline of a shelf seen from above, to scale; a half shelf's straight edge lies behind. */
export const shelfFrame = (shelf: Shelf) => ({
  position: 'relative',
  width: DRAWN_WIDTH,
  height: shelf.depthMm * scaleOf(shelf),
  bgcolor: 'booth.ground',
  border: '2px solid',
  borderColor: 'text.primary',
  borderRadius: shelf.shape === 'rectangle' ? '2px' : shelf.shape === 'round' ? '50%' : '0 0 150px 150px',
  boxSizing: 'content-box',
});

/** The place on a drawn shelf that was touched, in whole millimetres from its middle. */
export function touched(event: MouseEvent, frame: Element, shelf: Shelf): Post {
  const { left, top } = frame.getBoundingClientRect();
  const scale = scaleOf(shelf);
  return {
    xMm: Math.round((event.clientX - left) / scale - shelf.widthMm / 2),
    yMm: Math.round(shelf.depthMm / 2 - (event.clientY - top) / scale),
  };
}
