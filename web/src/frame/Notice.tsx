import CloseIcon from "@mui/icons-material/Close";
import ErrorIcon from "@mui/icons-material/ErrorOutlined";
import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box, IconButton } from "@mui/material";

// A sentence across the page: what is wrong and what to do.
export function Notice({ text, kind = "error", onClose }: { text: string; kind?: "error" | "warning"; onClose: () => void }) {
  const Icon = kind === "error" ? ErrorIcon : WarningIcon;
  return (
    <Box role="alert" sx={{ display: "flex", alignItems: "center", gap: 1, px: 2.5, py: 0.5, bgcolor: "background.paper", borderBottom: 2, borderColor: `${kind}.main`, color: `${kind}.main`, fontWeight: 600 }}>
      <Icon fontSize="small" />
      <Box sx={{ flex: 1 }}>{text}</Box>
      <IconButton size="small" aria-label="Close this message" onClick={onClose}><CloseIcon fontSize="small" /></IconButton>
    </Box>
  );
}
