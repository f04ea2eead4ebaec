import { Box } from "@mui/material";
import { lazy, Suspense, useMemo, useState, type ReactNode } from "react";
import { useBook, useChange, useChangeState } from "../api/book";
import { Notice } from "./Notice";
import { OpenServer } from "./OpenServer";
import type { StepId } from "./steps";
import { Strip } from "./Strip";
import { TopBar } from "./TopBar";
import { useSheet } from "./useSheet";
import { IndexRuns } from "./IndexRuns";
import { useShortcuts } from "./useShortcuts";

// What is seldom there comes when it is.
const Reprojecting = lazy(() => import("./Reprojecting").then(({ Reprojecting }) => ({ default: Reprojecting })));
const OutOfStep = lazy(() => import("./OutOfStep").then(({ OutOfStep }) => ({ default: OutOfStep })));
const ShortcutSheet = lazy(() => import("./ShortcutSheet").then(({ ShortcutSheet }) => ({ default: ShortcutSheet })));

/** Top bar, the step in the middle, the strip of sheets at the bottom. */
export function Frame({ step, children }: { step: StepId; children: ReactNode }) {
  const { undo, redo, clear } = useChange();
  const { refusal, replaced } = useChangeState();
  const book = useBook();
  const [dismissed, setDismissed] = useState<string | null>(null);
  const sheet = useSheet();
  const [help, setHelp] = useState(false);
  const keys = useMemo(
    () => ({
      // What is looked back at is not changed.
      ...(book.at === undefined && { "Ctrl+z": undo, "Ctrl+Shift+Z": redo, "Ctrl+y": redo }),
      PageDown: () => sheet.step(1),
      PageUp: () => sheet.step(-1),
      "?": () => setHelp(true),
    }),
    [undo, redo, sheet, book.at],
  );
  useShortcuts(keys);
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%", minWidth: 1024 }}>
      <OpenServer />
      <TopBar step={step} onHelp={() => setHelp(true)} />
      {book.reprojection && (
        <Suspense fallback={null}>
          <Reprojecting />
        </Suspense>
      )}
      <IndexRuns />
      {book.notice && dismissed !== book.notice && (
        <Notice text={book.notice} onClose={() => setDismissed(book.notice)} />
      )}
      {refusal && <Notice text={refusal.message} onClose={clear} />}
      {!refusal && replaced && <Notice kind="warning" text={replaced} onClose={clear} />}
      {book.index_state.changed.length > 0 && book.cells.length > 0 && (
        <Suspense fallback={null}>
          <OutOfStep />
        </Suspense>
      )}
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: "flex", flexDirection: "column" }}>
        {children}
      </Box>
      <Strip />
      {help && (
        <Suspense fallback={null}>
          <ShortcutSheet open onClose={() => setHelp(false)} />
        </Suspense>
      )}
    </Box>
  );
}
