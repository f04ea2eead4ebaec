import { createTheme } from "@mui/material/styles";

declare module "@mui/material/styles" {
  interface Palette {
    ink: { bar: string; onBar: string; quiet: string };
    table: { main: string; strip: string; edge: string };
    thread: { main: string; soft: string };
  }
  interface PaletteOptions {
    ink: Palette["ink"];
    table: Palette["table"];
    thread: Palette["thread"];
  }
}

/** Warm paper, dark ink, one thread colour for the index and one for the selection. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: "class" },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: "#1f6f78", contrastText: "#ffffff" },
        secondary: { main: "#8c2f39" },
        warning: { main: "#8f5600" },
        error: { main: "#a3211b" },
        success: { main: "#2f6b35" },
        background: { default: "#f3ecdd", paper: "#fffdf6" },
        text: { primary: "#1f2a30", secondary: "#545c60" },
        divider: "#d6ccb8",
        ink: { bar: "#1e2a30", onBar: "#f6f1e6", quiet: "#c3c8c6" },
        table: { main: "#e0d8c8", strip: "#e9dfcb", edge: "#cfc4ae" },
        thread: { main: "#8c2f39", soft: "#8c2f3922" },
      },
    },
    dark: {
      palette: {
        primary: { main: "#6cc3c9", contrastText: "#0f1a1d" },
        secondary: { main: "#e79aa0" },
        warning: { main: "#f0b45a" },
        error: { main: "#ff8f85" },
        success: { main: "#8fce93" },
        background: { default: "#1c2327", paper: "#242d32" },
        text: { primary: "#efe9dc", secondary: "#b5b9b4" },
        divider: "#3d484d",
        ink: { bar: "#12191c", onBar: "#f6f1e6", quiet: "#a9b1af" },
        table: { main: "#161c1f", strip: "#1f272b", edge: "#3d484d" },
        thread: { main: "#e79aa0", soft: "#e79aa022" },
      },
    },
  },
  typography: {
    fontFamily: '"Loom Sans", sans-serif',
    fontSize: 14,
    button: { textTransform: "none", fontWeight: 600 },
    h1: { fontSize: 22, fontWeight: 700 },
    h2: { fontSize: 20, fontWeight: 700 },
    h3: { fontSize: 14, fontWeight: 600 },
  },
  shape: { borderRadius: 2 },
  components: {
    MuiCssBaseline: { styleOverrides: { body: { fontFeatureSettings: '"tnum"', overflow: "hidden" } } },
    // A short word alone begins where the text round it begins.
    MuiButton: {
      defaultProps: { disableElevation: true, size: "small" },
      styleOverrides: { text: { minWidth: 0 } },
    },
    MuiTextField: { defaultProps: { size: "small", variant: "standard" } },
    MuiFormControlLabel: { styleOverrides: { label: { fontSize: 14, lineHeight: 1.3 } } },
    MuiTooltip: { defaultProps: { enterDelay: 400 } },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: { "&.Mui-focusVisible": { outline: "2px solid var(--mui-palette-primary-main)", outlineOffset: 1 } },
      },
    },
  },
});
