'use client';
import { createTheme } from '@mui/material/styles';

declare module '@mui/material/styles' {
  interface Palette {
    booth: { ground: string; ink: string; line: string };
  }
  interface PaletteOptions {
    booth: { ground: string; ink: string; line: string };
  }
}

const SANS = '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif';
export const MONO = '"Atkinson Hyperlegible Mono Variable", ui-monospace, monospace';

/**
 * A viewing booth: neutral greys without any tint, dark ink, hairlines, and one accent
 * for what can be acted on. `booth.ground` is about Munsell N7 in light and N4 in dark,
 * the grey that pictures lie on.
 */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#00534b', contrastText: '#ffffff' },
        error: { main: '#8c1d18' },
        warning: { main: '#6b4a00' },
        success: { main: '#1f1f1f' },
        info: { main: '#1f1f1f' },
        text: { primary: '#151515', secondary: '#474747' },
        background: { default: '#dcdcdc', paper: '#efefef' },
        divider: 'rgba(0,0,0,0.26)',
        booth: { ground: '#b1b1b1', ink: '#151515', line: '#6f6f6f' },
      },
    },
    dark: {
      palette: {
        primary: { main: '#7fd6c8', contrastText: '#0c1b19' },
        error: { main: '#ffb4a9' },
        warning: { main: '#e8c478' },
        success: { main: '#e6e6e6' },
        info: { main: '#e6e6e6' },
        text: { primary: '#f0f0f0', secondary: '#bdbdbd' },
        background: { default: '#1a1a1a', paper: '#262626' },
        divider: 'rgba(255,255,255,0.26)',
        booth: { ground: '#5e5e5e', ink: '#f4f4f4', line: '#9a9a9a' },
      },
    },
  },
  shape: { borderRadius: 2 },
  typography: {
    fontFamily: SANS,
    fontSize: 15,
    h1: { fontSize: '1.75rem', fontWeight: 650, letterSpacing: '-0.01em', lineHeight: 1.15 },
    h2: { fontSize: '1.2rem', fontWeight: 650, lineHeight: 1.25 },
    h3: { fontSize: '1rem', fontWeight: 650, lineHeight: 1.3 },
    button: { textTransform: 'none', fontWeight: 600 },
    overline: {
      textTransform: 'none',
      letterSpacing: 0,
      fontWeight: 600,
      lineHeight: 1.4,
      fontSize: '0.8rem',
    },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums' },
        'a:not([class])': { color: 'inherit' },
        ':focus-visible': {
          outline: '3px solid var(--mui-palette-primary-main)',
          outlineOffset: 2,
        },
        '@media print': {
          'nav, .no-print': { display: 'none !important' },
          body: { background: '#fff' },
        },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { transition: 'none !important', animation: 'none !important' },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, paddingInline: 16 },
        sizeSmall: { minHeight: 36, paddingInline: 10 },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: 'none' } },
    },
    MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
    MuiToggleButton: {
      styleOverrides: {
        root: ({ theme }) => ({
          minHeight: 44,
          color: theme.vars!.palette.text.primary,
          borderColor: theme.vars!.palette.divider,
          textTransform: 'none',
          '&.Mui-selected, &.Mui-selected:hover': {
            backgroundColor: theme.vars!.palette.text.primary,
            color: theme.vars!.palette.background.paper,
          },
        }),
      },
    },
    MuiToggleButtonGroup: {
      styleOverrides: {
        // A row that wraps keeps its left edge.
        root: ({ theme }) => ({
          '& .MuiToggleButtonGroup-middleButton, & .MuiToggleButtonGroup-lastButton': {
            borderLeftColor: theme.vars!.palette.divider,
          },
        }),
      },
    },
    MuiTableCell: { styleOverrides: { root: { padding: '8px 12px' }, head: { fontWeight: 650 } } },
    MuiTooltip: { defaultProps: { arrow: true } },
    MuiLink: { defaultProps: { underline: 'always' } },
  },
});
