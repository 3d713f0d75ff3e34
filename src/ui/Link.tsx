'use client';
// Re-exported so that server components can hand it to MUI as `component`.
export { default } from 'next/link';
