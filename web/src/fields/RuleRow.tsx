import ArrowDownIcon from "@mui/icons-material/ArrowDownwardOutlined";
import ArrowUpIcon from "@mui/icons-material/ArrowUpwardOutlined";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import type { ReactNode } from "react";
import { t } from "../texts/t";

const small = { fontSize: 15 };

/** One of several rules in their order: opened by its title, moved, removed. before: what stands before the title. */
export function RuleRow({
  title,
  name,
  removes,
  index,
  count,
  open,
  before,
  onOpen,
  onMove,
  onRemove,
}: {
  title: string;
  // In "Move … up".
  name: string;
  // What removing is called.
  removes: string;
  index: number;
  count: number;
  open: boolean;
  before?: ReactNode;
  onOpen: () => void;
  onMove: (by: 1 | -1) => void;
  // Nothing where it cannot be removed.
  onRemove?: () => void;
}) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 0.75, py: 0.25 }}>
      {before}
      <Button
        onClick={onOpen}
        aria-expanded={open}
        sx={{
          flex: 1,
          minWidth: 0,
          px: before ? 0.5 : 0,
          color: "text.primary",
          fontWeight: 400,
          whiteSpace: "nowrap",
          overflow: "hidden",
          textOverflow: "ellipsis",
          display: "block",
          textAlign: "left",
        }}
      >
        {title}
      </Button>
      {count > 1 && (
        <>
          <IconButton
            size="small"
            sx={{ p: 0.25 }}
            aria-label={t("Move %{name} up", { name })}
            disabled={index === 0}
            onClick={() => onMove(-1)}
          >
            <ArrowUpIcon sx={small} />
          </IconButton>
          <IconButton
            size="small"
            sx={{ p: 0.25 }}
            aria-label={t("Move %{name} down", { name })}
            disabled={index === count - 1}
            onClick={() => onMove(1)}
          >
            <ArrowDownIcon sx={small} />
          </IconButton>
        </>
      )}
      <IconButton size="small" sx={{ p: 0.25 }} aria-label={removes} disabled={!onRemove} onClick={onRemove}>
        <RemoveIcon sx={small} />
      </IconButton>
    </Box>
  );
}
