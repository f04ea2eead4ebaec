import { Box } from "@mui/material";
import type { ReactNode } from "react";

/** Fields of a card, two in a row. */
export function Pair({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)", gap: 1, alignItems: "end" }}>
      {children}
    </Box>
  );
}
