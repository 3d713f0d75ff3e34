'use client';
import dynamic from 'next/dynamic';

/** Heavy, and wanted on one page. */
export const LazyChart = dynamic(() => import('./ControlChart'), { ssr: false });
