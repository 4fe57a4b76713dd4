'use client';
import { createTheme } from '@mui/material/styles';
import { dark, light, type Tokens } from './tokens';

const HEADING = "'Bricolage Grotesque', sans-serif";
const TEXT = "'Atkinson Hyperlegible Next', sans-serif";

const palette = (tokens: Tokens) => ({
  primary: { main: tokens.act, contrastText: tokens.onAct },
  secondary: { main: tokens.now, contrastText: tokens.onNow },
  success: { main: tokens.dry },
  warning: { main: tokens.caution },
  error: { main: tokens.caution },
  background: { default: tokens.ground, paper: tokens.raised },
  text: { primary: tokens.ink, secondary: tokens.softInk },
  divider: tokens.line,
});

/** The product's theme: both schemes, shipped fonts, rounded quiet controls. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: '[data-scheme="%s"]' },
  colorSchemes: { light: { palette: palette(light) }, dark: { palette: palette(dark) } },
  shape: { borderRadius: 10 },
  typography: {
    fontFamily: TEXT,
    fontSize: 15,
    h1: { fontFamily: HEADING, fontWeight: 700, fontSize: '1.6rem' },
    h2: { fontFamily: HEADING, fontWeight: 600, fontSize: '1.15rem' },
    h3: { fontFamily: HEADING, fontWeight: 600, fontSize: '1rem' },
    button: { textTransform: 'none', fontWeight: 700, fontFamily: TEXT },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { borderRadius: 999, minHeight: 36 } },
    },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiDialog: { styleOverrides: { paper: { backgroundImage: 'none' } } },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiAlert: {
      styleOverrides: {
        // On a phone its buttons stand below its words.
        root: { '@media (max-width: 500px)': { flexWrap: 'wrap' } },
        message: { flex: '1 1 12rem' },
        action: { marginLeft: 'auto', paddingTop: 0, alignItems: 'center' },
      },
    },
    MuiOutlinedInput: {
      styleOverrides: { notchedOutline: { borderColor: 'var(--control)' } },
    },
  },
});
