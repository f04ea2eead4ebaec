import { Box, type SxProps, type Theme } from "@mui/material";
import type { ReactNode } from "react";

/** A measure that goes with the hand: how far, how much. sx: where it stands. */
export function Tag({ sx, children }: { sx: SxProps<Theme>; children: ReactNode }) {
  return (
    <Box
      role="status"
      sx={[
        {
          position: "absolute",
          zIndex: 3,
          px: 0.75,
          bgcolor: "#1e2a30",
          color: "#f6f1e6",
          fontSize: 12,
          whiteSpace: "nowrap",
          pointerEvents: "none",
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      {children}
    </Box>
  );
}
