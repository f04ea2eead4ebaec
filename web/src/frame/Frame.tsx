import { Box } from "@mui/material";
import { useMemo, useState, type ReactNode } from "react";
import { useChange } from "../api/book";
import { Notice } from "./Notice";
import { ShortcutSheet } from "./ShortcutSheet";
import type { StepId } from "./steps";
import { Strip } from "./Strip";
import { TopBar } from "./TopBar";
import { useSheet } from "./useSheet";
import { useShortcuts } from "./useShortcuts";

// Top bar, the step in the middle, the strip of sheets at the bottom.
export function Frame({ step, children }: { step: StepId; children: ReactNode }) {
  const { undo, redo, refusal, clear } = useChange();
  const sheet = useSheet();
  const [help, setHelp] = useState(false);
  const keys = useMemo(() => ({
    "Ctrl+z": undo, "Ctrl+Shift+Z": redo, "Ctrl+y": redo,
    PageDown: () => sheet.step(1), PageUp: () => sheet.step(-1),
    "?": () => setHelp(true),
  }), [undo, redo, sheet]);
  useShortcuts(keys);
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%", minWidth: 1024 }}>
      <TopBar step={step} onHelp={() => setHelp(true)} />
      {refusal && <Notice text={refusal.message} onClose={clear} />}
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: "flex", flexDirection: "column" }}>{children}</Box>
      <Strip />
      <ShortcutSheet open={help} onClose={() => setHelp(false)} />
    </Box>
  );
}
