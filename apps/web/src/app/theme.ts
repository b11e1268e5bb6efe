import { createTheme } from '@mui/material/styles';
import type { Theme } from '@mui/material/styles';
import { TOKENS } from './tokens.ts';
import type { Scheme } from './tokens.ts';

const FONT = "'Archivo Variable', 'Archivo', 'Helvetica Neue', Arial, sans-serif";
/** Touch targets of gloved hands. */
const CONTROL_HEIGHT = 44;

/** MUI as workshop paper: square, flat, hairlines; nothing of its stock look is left. */
export function createKeenTheme(scheme: Scheme): Theme {
  const t = TOKENS[scheme];
  return createTheme({
    palette: {
      mode: scheme,
      primary: { main: t.ink, contrastText: t.onInk },
      secondary: { main: t.rubber },
      error: { main: t.marker, contrastText: t.onMarker },
      warning: { main: t.marker },
      text: { primary: t.ink, secondary: t.soft },
      background: { default: t.paper, paper: t.sheet },
      divider: t.line,
    },
    shape: { borderRadius: 4 },
    typography: {
      fontFamily: FONT,
      fontSize: 15,
      button: { textTransform: 'none', fontWeight: 600, letterSpacing: 0 },
      h1: { fontSize: '1.85rem', fontWeight: 700, fontStretch: '78%', lineHeight: 1.12 },
      h2: { fontSize: '1.3rem', fontWeight: 700, fontStretch: '82%', lineHeight: 1.2 },
      h3: { fontSize: '0.85rem', fontWeight: 600, lineHeight: 1.3 },
      body1: { fontSize: '0.95rem', lineHeight: 1.45 },
      body2: { fontSize: '0.85rem', lineHeight: 1.4 },
    },
    transitions: { create: () => 'none' },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true, variant: 'outlined' },
        styleOverrides: {
          root: {
            minHeight: CONTROL_HEIGHT,
            borderRadius: 4,
            paddingInline: 14,
            fontSize: '0.95rem',
          },
          outlined: { borderColor: t.control, backgroundColor: t.sheet, color: t.ink },
          contained: { backgroundColor: t.ink, color: t.onInk },
          text: { color: t.soft },
        },
      },
      MuiToggleButton: {
        styleOverrides: {
          root: {
            minHeight: CONTROL_HEIGHT,
            textTransform: 'none',
            color: t.ink,
            backgroundColor: t.sheet,
            borderColor: t.control,
            fontWeight: 500,
            fontSize: '0.92rem',
            paddingInline: 12,
            lineHeight: 1.15,
            '&.Mui-selected, &.Mui-selected:hover': {
              backgroundColor: t.ink,
              color: t.onInk,
              fontWeight: 600,
            },
          },
        },
      },
      MuiOutlinedInput: {
        styleOverrides: {
          root: { backgroundColor: t.sheet, minHeight: CONTROL_HEIGHT },
          notchedOutline: { borderColor: t.control },
        },
      },
      MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
      MuiInputLabel: {
        styleOverrides: {
          root: {
            color: t.soft,
            '&.MuiInputLabel-sizeSmall:not(.MuiInputLabel-shrink)': {
              transform: 'translate(14px, 12px) scale(1)',
            },
          },
        },
      },
      MuiFormHelperText: { styleOverrides: { root: { marginLeft: 0, fontSize: '0.8rem' } } },
      MuiDialog: {
        styleOverrides: {
          paper: {
            backgroundImage: 'none',
            border: `1px solid ${t.line}`,
            boxShadow: 'none',
            borderRadius: 4,
          },
        },
      },
      MuiMenu: {
        styleOverrides: { paper: { boxShadow: 'none', border: `1px solid ${t.control}` } },
      },
      MuiPaper: {
        defaultProps: { elevation: 0 },
        styleOverrides: { root: { backgroundImage: 'none' } },
      },
      MuiSnackbarContent: {
        styleOverrides: { root: { backgroundColor: t.ink, color: t.onInk, borderRadius: 4 } },
      },
      // A carpenter's scale: a thin rail, a square hand, a mark where one started.
      MuiSlider: {
        styleOverrides: {
          root: { color: t.ink, padding: '20px 0' },
          rail: { height: 2, opacity: 1, backgroundColor: t.control },
          thumb: {
            width: 14,
            height: 26,
            borderRadius: 3,
            '&::before': { boxShadow: 'none' },
            '&:hover, &.Mui-active': { boxShadow: 'none' },
            '&.Mui-focusVisible': { boxShadow: 'none', outline: `2px solid ${t.marker}` },
          },
          mark: { width: 3, height: 16, borderRadius: 0, backgroundColor: t.marker, opacity: 1 },
        },
      },
      MuiLink: { styleOverrides: { root: { color: t.ink, textDecorationColor: t.control } } },
    },
  });
}
