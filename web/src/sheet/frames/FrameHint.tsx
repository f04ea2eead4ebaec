import { Box } from "@mui/material";
import type { ReactNode } from "react";

/** What can be done in a frame now, said above its upper left corner. left, top: of the frame, in pixels. */
export function FrameHint({ left, top, children }: { left: number; top: number; children: ReactNode }) {
  return (
    <Box
      role="status"
      sx={{
        position: "absolute",
        left,
        top: Math.max(top - 26, 0),
        px: 1,
        fontSize: 12.5,
        bgcolor: "background.paper",
        border: 1,
        borderColor: "primary.main",
        pointerEvents: "none",
      }}
    >
      {children}
    </Box>
  );
}
