'use client';
import { useColorScheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMemo } from 'react';

/** Ink for drawings on a canvas, which does not read the page's variables by itself. Browser only. */
export function useInk(): { text: string; faint: string; line: string; accent: string } {
  const { mode } = useColorScheme();
  const system = useMediaQuery('(prefers-color-scheme: dark)');
  return useMemo(() => {
    // Named so that a change of scheme reads the variables again.
    void [mode, system];
    const style = getComputedStyle(document.documentElement);
    const read = (name: string): string => style.getPropertyValue(`--mui-palette-${name}`).trim();
    return {
      text: read('text-primary'),
      faint: read('text-secondary'),
      line: read('booth-line'),
      accent: read('primary-main'),
    };
  }, [mode, system]);
}
