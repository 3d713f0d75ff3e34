'use client';
import dynamic from 'next/dynamic';

/** Drawn on a canvas, in the browser only; its place is kept free meanwhile. */
export const OffsetChart = dynamic(() => import('./OffsetBars'), {
  ssr: false,
  loading: () => <div style={{ height: 220 }} />,
});
