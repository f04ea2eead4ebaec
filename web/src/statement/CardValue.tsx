import { Box } from "@mui/material";
import { underlined } from "./underlined";

/** An underlined value of a statement that opens a card beside the map. */
export function CardValue({
  label,
  shown,
  open,
  onOpen,
}: {
  label: string;
  shown: string;
  open: boolean;
  onOpen: () => void;
}) {
  return (
    <Box
      component="button"
      aria-pressed={open}
      aria-label={`${label}: ${shown}`}
      onClick={onOpen}
      sx={underlined(open)}
    >
      {shown}
    </Box>
  );
}
