import { useBook } from "../api/book";
import { t } from "../texts/t";
import { NamesSettings } from "./NamesCard";
import { FeatureSettings, GridSettings, LayerSettings, SettingsCard, StripSettings } from "./SettingsCard";
import type { Trial } from "./useIndexTrial";
import { KINDS } from "./words";

const SETTINGS = { grid: GridSettings, strip: StripSettings, features: FeatureSettings, layer: LayerSettings };

/** The card of how the index lies, or of how its sheets are named. */
export default function OpenedSettings({
  open,
  trial,
  onBack,
}: {
  open: "settings" | "names";
  trial: Trial;
  onBack: () => void;
}) {
  const { index } = useBook().document;
  const Settings = SETTINGS[index.kind];
  if (open === "names")
    return (
      <SettingsCard help="names" title={t("Names")} trial={trial} label="Names" onBack={onBack}>
        <NamesSettings index={trial.index} tried={trial.trial} onTry={trial.add} />
      </SettingsCard>
    );
  return (
    <SettingsCard help="index" title={titleOf(index.kind)} trial={trial} label="Placement of the index" onBack={onBack}>
      <Settings index={trial.index} onTry={trial.add} />
    </SettingsCard>
  );
}

// A kind of index as the title of a card.
const titleOf = (kind: string) =>
  KINDS.find((known) => known.value === kind)!
    .title.replace(/^a /, "")
    .replace(/^./, (letter) => letter.toUpperCase());
