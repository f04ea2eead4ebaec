import CloseIcon from "@mui/icons-material/Close";
import { Box, IconButton } from "@mui/material";
import type { ReactNode } from "react";
import { Banner } from "./Banner";
import { t } from "../texts/t";

/** A sentence across the page: what is wrong and what to do; with buttons where there is a choice. */
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
  return (
    <Banner kind={kind} sx={{ color: `${kind}.main`, fontWeight: 600 }}>
      <Box sx={{ flex: 1 }}>{text}</Box>
      {children}
      <IconButton size="small" aria-label={t("Close this message")} onClick={onClose}>
        <CloseIcon fontSize="small" />
      </IconButton>
    </Banner>
  );
}
