'use client';
import Box from '@mui/material/Box';
import { useRef, type PointerEvent } from 'react';
import { ConeDrawing } from '../../drawings';

/** A cone whose tip can be taken and laid down as far as it was found. */
export function DragCone({
  cone,
  bend,
  size,
  onBend,
}: {
  cone: string;
  bend: number | null;
  size: number;
  onBend: (degrees: number) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const follow = (event: PointerEvent): void => {
    if (box.current === null || event.buttons === 0) return;
    const { left, top, width, height } = box.current.getBoundingClientRect();
    // The foot of the drawing is at 14 of 44 across and 38 down.
    const across = (event.clientX - left) / width - 14 / 44;
    const up = 38 / 44 - (event.clientY - top) / height;
    const lean = (Math.atan2(across, up) * 180) / Math.PI;
    onBend(Math.round(Math.max(0, Math.min(90, (lean - 8) / 0.92)) / 5) * 5);
  };
  return (
    <Box
      ref={box}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        follow(event);
      }}
      onPointerMove={follow}
      sx={{ width: size, height: size, cursor: 'grab', touchAction: 'none', lineHeight: 0 }}
    >
      <ConeDrawing cone={cone} bend={bend} size={size} />
    </Box>
  );
}
