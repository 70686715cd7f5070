import { createTheme } from '@mui/material/styles';
import { dark, ink, light, TEXT, type RoleName } from '../identity/tokens';

declare module '@mui/material/styles' {
  interface Palette {
    roles: Record<RoleName, string>;
  }
  interface PaletteOptions {
    roles: Record<RoleName, string>;
  }
}

const palette = (roles: Record<RoleName, string>) => ({
  roles,
  primary: { main: roles.deep, contrastText: roles.onDeep },
  error: { main: roles.stop },
  success: { main: roles.keep },
  warning: { main: roles.look },
  text: { primary: roles.ink, secondary: roles.inkSoft },
  background: { default: roles.ground, paper: roles.sheet },
  divider: roles.ruleSoft,
});

/** MUI carries the identity: no component keeps the library's default look. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'media' },
  colorSchemes: { light: { palette: palette(light) }, dark: { palette: palette(dark) } },
  typography: {
    fontFamily: TEXT,
    fontSize: 15,
    htmlFontSize: 16,
    body1: { fontSize: 15, lineHeight: 1.45 },
    body2: { fontSize: 13.5, lineHeight: 1.4 },
    h1: { fontSize: 28, fontWeight: 700, lineHeight: 1.2 },
    h2: { fontSize: 20, fontWeight: 700, lineHeight: 1.25 },
    h3: { fontSize: 16, fontWeight: 700, lineHeight: 1.3 },
    button: { textTransform: 'none', fontWeight: 700, fontSize: 15 },
  },
  shape: { borderRadius: 4 },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, borderRadius: 10, paddingInline: 16, '&.Mui-focusVisible': focus() },
        outlined: { borderWidth: 1.5 },
      },
      variants: [
        {
          props: { variant: 'outlined', color: 'primary' },
          style: { borderColor: ink.link, color: ink.link },
        },
        { props: { variant: 'text', color: 'primary' }, style: { color: ink.link } },
      ],
    },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { background: ink.sheet, borderRadius: 10, minHeight: 44 },
        notchedOutline: { borderColor: ink.rule, borderWidth: 1.5 },
      },
    },
    MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
    MuiSelect: { defaultProps: { size: 'small' } },
    MuiInputLabel: { styleOverrides: { root: { color: ink.inkSoft, '&.Mui-focused': { color: ink.link } } } },
    MuiDialog: {
      styleOverrides: {
        paper: { borderRadius: 14, border: `1px solid ${ink.rule}`, backgroundImage: 'none' },
      },
    },
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiLink: { styleOverrides: { root: { color: ink.link, textDecorationColor: ink.rule } } },
    MuiCssBaseline: {
      styleOverrides: {
        body: { background: ink.ground, color: ink.ink },
        a: { color: ink.link },
        'button, input, textarea': { fontFamily: 'inherit' },
        // Our own italics: the system's mathematical font need not be there.
        math: { fontFamily: TEXT },
        'math mi': { textTransform: 'none', fontStyle: 'italic' },
        'math mi[mathvariant=normal]': { fontStyle: 'normal' },
        'a:focus-visible, button:focus-visible, [tabindex]:focus-visible': focus(),
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important' },
        },
      },
    },
  },
});

function focus() {
  return { outline: `3px solid ${ink.deep}`, outlineOffset: 2 };
}
