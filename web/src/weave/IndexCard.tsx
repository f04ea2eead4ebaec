import { Box } from "@mui/material";
import { useBook } from "../api/book";
import type { Extent } from "../api/types";
import { Card } from "../frame/Card";
import { CellCard } from "./CellCard";
import { CoverCard } from "./CoverCard";
import { NamesSettings } from "./NamesCard";
import { FeatureSettings, GridSettings, LayerSettings, SettingsCard, StripSettings } from "./SettingsCard";
import type { CellSelection } from "./useCellSelection";
import type { Trial } from "./useIndexTrial";
import { KINDS } from "./words";

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

const SETTINGS = { grid: GridSettings, strip: StripSettings, features: FeatureSettings, layer: LayerSettings };

/** The card beside the map: of the selected cells, or of what the sentence or the map opened. */
export function IndexCard({ open, trial, selection, onBack, onGo, onPick }: IndexCardProps) {
  const { index } = useBook().document;
  const Settings = SETTINGS[index.kind];
  if (open === "settings")
    return (
      <SettingsCard title={titleOf(index.kind)} trial={trial} label="How the index lies" onBack={onBack}>
        <Settings index={trial.index} onTry={trial.add} />
      </SettingsCard>
    );
  if (open === "names")
    return (
      <SettingsCard title="Names" trial={trial} label="Names" onBack={onBack}>
        <NamesSettings index={trial.index} tried={trial.trial} onTry={trial.add} />
      </SettingsCard>
    );
  if (open === "cover")
    return (
      <CoverCard
        onGo={onGo}
        onPick={onPick}
        onBack={() => {
          onGo(null);
          onBack();
        }}
      />
    );
  if (!selection.cell)
    return (
      <Card help="cell" title="No cell selected">
        <Box sx={{ fontSize: 14 }}>Choose a study area and a scale in the sentence above.</Box>
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

// A kind of index as the title of a card.
const titleOf = (kind: string) =>
  KINDS.find((known) => known.value === kind)!
    .title.replace(/^a /, "")
    .replace(/^./, (letter) => letter.toUpperCase());
