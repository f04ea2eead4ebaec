import { Box } from "@mui/material";
import type { ReactNode } from "react";

/** A colour, or several one above the other, and beside it the fields that go with it, two in a row. */
export function ColourBeside({ colour, children }: { colour: ReactNode; children: ReactNode }) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
      <Box sx={{ pt: 1.75, display: "grid", gap: 0.5 }}>{colour}</Box>
      <Box
        sx={{
          flex: 1,
          minWidth: 0,
          display: "grid",
          gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)",
          gap: 1,
          alignItems: "end",
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
