import CloseIcon from "@mui/icons-material/Close";
import ErrorIcon from "@mui/icons-material/ErrorOutlined";
import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box, IconButton } from "@mui/material";
import type { ReactNode } from "react";

// A sentence across the page: what is wrong and what to do; with buttons where there is a choice.
export function Notice({
  text,
  kind = "error",
  onClose,
  children,
}: {
  text: string;
  kind?: "error" | "warning";
  onClose: () => void;
  children?: ReactNode;
}) {
  const Icon = kind === "error" ? ErrorIcon : WarningIcon;
  return (
    <Box
      role="alert"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1,
        px: 2.5,
        py: 0.5,
        bgcolor: "background.paper",
        borderBottom: 2,
        borderColor: `${kind}.main`,
        color: `${kind}.main`,
        fontWeight: 600,
      }}
    >
      <Icon fontSize="small" />
      <Box sx={{ flex: 1 }}>{text}</Box>
      {children}
      <IconButton size="small" aria-label="Close this message" onClick={onClose}>
        <CloseIcon fontSize="small" />
      </IconButton>
    </Box>
  );
}
