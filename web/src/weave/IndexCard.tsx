import { Box } from "@mui/material";
import { lazy, Suspense } from "react";
import type { Extent } from "../api/types";
import { Card } from "../frame/Card";
import { CellCard } from "./CellCard";
import type { CellSelection } from "./useCellSelection";
import type { Trial } from "./useIndexTrial";
import { t } from "../texts/t";

export type Open = "cell" | "settings" | "names" | "cover";

interface IndexCardProps {
  open: Open;
  trial: Trial;
  selection: CellSelection;
  onBack: () => void;
  // Shows a place on the map.
  onGo: (place: Extent | null) => void;
  onPick: (number: number) => void;
}

// They come when they are opened.
const OpenedSettings = lazy(() => import("./OpenedSettings"));
const CoverCard = lazy(() => import("./CoverCard").then(({ CoverCard }) => ({ default: CoverCard })));

/** The card beside the map: of the selected cells, or of what the sentence or the map opened. */
export function IndexCard({ open, trial, selection, onBack, onGo, onPick }: IndexCardProps) {
  if (open === "settings" || open === "names")
    return (
      <Suspense fallback={null}>
        <OpenedSettings open={open} trial={trial} onBack={onBack} />
      </Suspense>
    );
  if (open === "cover")
    return (
      <Suspense fallback={null}>
        <CoverCard
          onGo={onGo}
          onPick={onPick}
          onBack={() => {
            onGo(null);
            onBack();
          }}
        />
      </Suspense>
    );
  if (!selection.cell)
    return (
      <Card help="cell" title={t("No cell selected")}>
        <Box sx={{ fontSize: 14 }}>{t("Choose a study area and a scale in the sentence above.")}</Box>
      </Card>
    );
  return (
    <CellCard
      key={selection.selected.map((known) => known.number).join()}
      selected={selection.selected}
      cells={selection.cells}
      onGone={selection.none}
    />
  );
}
