'use client';
import { useEffect, useRef } from 'react';
import { apply, homographyOnto, type Corners } from '@/core/frame';
import type { Raster } from '@/core/sight';

const WIDE = 84;
const HIGH = 104;

/** A tile as it was photographed, drawn upright from its four corners. */
export function TileCut({
  raster,
  corners,
  alt,
}: {
  raster: Raster;
  corners: Corners['corners'];
  alt: string;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d') ?? null;
    if (context === null) return;
    const out = context.createImageData(WIDE, HIGH);
    const map = homographyOnto(corners);
    for (let j = 0; j < HIGH; j++)
      for (let i = 0; i < WIDE; i++) {
        const { x, y } = apply(map, { x: (i + 0.5) / WIDE, y: 1 - (j + 0.5) / HIGH });
        const px = Math.min(raster.width - 1, Math.max(0, Math.floor(x * raster.width)));
        const py = Math.min(raster.height - 1, Math.max(0, Math.floor(y * raster.height)));
        const from = (py * raster.width + px) * raster.channels;
        out.data.set(
          [raster.data[from]!, raster.data[from + 1]!, raster.data[from + 2]!, 255],
          4 * (j * WIDE + i),
        );
      }
    context.putImageData(out, 0, 0);
  }, [raster, corners]);
  return (
    <canvas
      ref={canvas}
      width={WIDE}
      height={HIGH}
      role="img"
      aria-label={alt}
      style={{ display: 'block', width: WIDE, height: HIGH }}
    />
  );
}
