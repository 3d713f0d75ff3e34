'use client';
import Box from '@mui/material/Box';
import { TransformComponent, TransformWrapper } from 'react-zoom-pan-pinch';

/** A picture to zoom into with wheel, pinch or double click, on the grey it is judged on. */
export function ZoomPicture({ src, alt }: { src: string; alt: string }) {
  return (
    <Box sx={{ bgcolor: 'booth.ground', height: { xs: 340, md: 420 } }}>
      <TransformWrapper maxScale={8}>
        <TransformComponent
          wrapperStyle={{ width: '100%', height: '100%' }}
          contentStyle={{ width: '100%', height: '100%' }}
        >
          {/* eslint-disable-next-line @next/next/no-img-element -- sizes are made on the server */}
          <img
            src={src}
            alt={alt}
            style={{ width: '100%', height: '100%', objectFit: 'contain' }}
          />
        </TransformComponent>
      </TransformWrapper>
    </Box>
  );
}
