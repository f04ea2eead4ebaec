import { Box, Popover } from "@mui/material";
import { IndexRuns } from "../frame/IndexRuns";
import { underlined } from "./underlined";
import { useId, useRef, useState, type ReactNode } from "react";

interface ValueProps {
  label: string;
  shown: string;
  onOpen?: () => void;
  onClose?: () => void;
  children: (close: () => void) => ReactNode;
}

/** An underlined value of a statement: press it and it opens where it stands. */
export function Value({ label, shown, onOpen, onClose, children }: ValueProps) {
  const [open, setOpen] = useState(false);
  const anchor = useRef<HTMLButtonElement>(null);
  const id = useId();
  const close = () => {
    setOpen(false);
    onClose?.();
    anchor.current?.focus();
  };
  return (
    <>
      <Box
        component="button"
        ref={anchor}
        aria-haspopup="dialog"
        aria-expanded={open}
        aria-label={`${label}: ${shown}`}
        onClick={() => {
          onOpen?.();
          setOpen(true);
        }}
        sx={underlined(open)}
      >
        {shown}
      </Box>
      <Popover
        open={open}
        onClose={close}
        anchorEl={() => anchor.current}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        slotProps={{
          paper: { role: "dialog", "aria-labelledby": id, sx: { border: 1, borderColor: "divider", minWidth: 190 } },
        }}
      >
        <Box id={id} sx={{ px: 2, pt: 1.25, fontSize: 12.5, color: "text.secondary" }}>
          {label}
        </Box>
        {children(close)}
        {open && <IndexRuns narrow />}
      </Popover>
    </>
  );
}
