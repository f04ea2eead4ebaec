import ErrorIcon from "@mui/icons-material/ErrorOutlined";
import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box, type SxProps, type Theme } from "@mui/material";
import type { ReactNode } from "react";

/** What stands across the page, under its bar: the sign of how grave it is, then what is said and the buttons. */
export function Banner({
  kind = "warning",
  role = "alert",
  label,
  sx,
  children,
}: {
  kind?: "error" | "warning";
  role?: "alert" | "region";
  label?: string;
  sx?: SxProps<Theme>;
  children: ReactNode;
}) {
  const Icon = kind === "error" ? ErrorIcon : WarningIcon;
  return (
    <Box
      role={role}
      aria-label={label}
      sx={[
        {
          display: "flex",
          alignItems: "center",
          gap: 1,
          px: 2.5,
          py: 0.5,
          flexShrink: 0,
          bgcolor: "background.paper",
          borderBottom: 2,
          borderColor: `${kind}.main`,
        },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      <Icon fontSize="small" sx={{ color: `${kind}.main` }} />
      {children}
    </Box>
  );
}
