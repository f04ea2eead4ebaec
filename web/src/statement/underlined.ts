import type { SxProps } from "@mui/material";

/** How the values of a statement look: words of the sentence that can be pressed. */
export const underlined = (open: boolean): SxProps => ({
  font: "inherit",
  fontWeight: 700,
  lineHeight: 1.25,
  color: "text.primary",
  bgcolor: open ? "thread.soft" : "transparent",
  border: 0,
  borderBottom: 2,
  borderColor: "thread.main",
  px: 0.25,
  py: 0,
  cursor: "pointer",
  textAlign: "left",
  "&:hover": { bgcolor: "thread.soft" },
  "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: 2 },
});
