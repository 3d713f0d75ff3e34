'use client';
import dynamic from 'next/dynamic';

/** Drawn on a canvas, in the browser only; its place is kept free meanwhile. */
export const Curve = dynamic(() => import('./CurveChart'), {
  ssr: false,
  loading: () => <div style={{ height: 300 }} />,
});
