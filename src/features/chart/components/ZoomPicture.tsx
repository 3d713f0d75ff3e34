'use client';
import Box from '@mui/material/Box';
import type { Cut } from '@/core/frame';
import { TransformComponent, TransformWrapper } from 'react-zoom-pan-pinch';

/**
 * A picture to zoom into with wheel, pinch or double click, on the grey it is judged on; the zone that is
 * meant is outlined.
 */
export function ZoomPicture({
  src,
  alt,
  cut,
}: {
  src: string;
  alt: string;
  /** Which part of it is meant. */
  cut: Cut | null;
}) {
  return (
    <Box sx={{ bgcolor: 'booth.ground', height: { xs: 340, md: 420 } }}>
      <TransformWrapper maxScale={8}>
        <TransformComponent
          wrapperStyle={{ width: '100%', height: '100%' }}
          contentStyle={{ width: '100%', height: '100%' }}
        >
          {/* eslint-disable-next-line @next/next/no-img-element -- sizes are made on the server */}
          <img src={src} alt={alt} style={{ width: '100%', height: '100%', objectFit: 'contain' }} />
          {cut !== null && (
            <svg
              aria-hidden
              viewBox={`0 0 1000 ${1000 * cut.aspect}`}
              style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
            >
              {[
                { stroke: '#000', width: 7, opacity: 0.5 },
                { stroke: '#fff', width: 3, opacity: 1 },
              ].map(({ stroke, width, opacity }) => (
                <polygon
                  key={stroke}
                  points={cut.outline.map(({ x, y }) => `${1000 * x},${1000 * cut.aspect * y}`).join(' ')}
                  fill="none"
                  stroke={stroke}
                  strokeWidth={width}
                  strokeOpacity={opacity}
                />
              ))}
            </svg>
          )}
        </TransformComponent>
      </TransformWrapper>
    </Box>
  );
}
