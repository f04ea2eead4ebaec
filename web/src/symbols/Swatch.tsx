import { Box } from "@mui/material";

/** A symbol or marker as the core draws it. */
export function Swatch({ svg, width = 28, height = 20 }: { svg: string; width?: number; height?: number }) {
  return (
    <Box
      component="img"
      alt=""
      src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
      sx={{ width, height, flexShrink: 0, bgcolor: "#f7f2e6", border: 1, borderColor: "divider" }}
    />
  );
}
