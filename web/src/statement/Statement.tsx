import { Box } from "@mui/material";
import type { ReactNode } from "react";
import { t } from "../texts/t";

/** The sentence that says what a step will do, and under it the sentence that answers. */
export function Statement({ children, answer }: { children: ReactNode; answer: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={t("What this step does")}
      sx={{
        px: 2.75,
        pt: 1.4,
        pb: 1.1,
        bgcolor: "background.paper",
        borderBottom: 1,
        borderColor: "divider",
        flexShrink: 0,
      }}
    >
      <Box sx={{ fontSize: 18, lineHeight: 1.75 }}>{children}</Box>
      <Box
        role="status"
        sx={{ fontSize: 13.5, color: "text.secondary", minHeight: 20, "& b": { color: "text.primary" } }}
      >
        {answer}
      </Box>
    </Box>
  );
}
