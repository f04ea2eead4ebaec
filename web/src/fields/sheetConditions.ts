// What conditions can ask of the sheet that is drawn, as the core has it (sheet_properties.rb and sheet_functions.rb in
// lib/tile_loom/conditions).
import { useMemo } from "react";
import { useBook } from "../api/book";
import { partsOf } from "../api/area";
import { useAttributes, type Attribute } from "../api/useAttributes";
import { t } from "../texts/t";

const OF_SHEET: Attribute[] = [
  { name: "sheet.name", type: "text", title: t("sheet: name") },
  { name: "sheet.number", type: "integer", title: t("sheet: number") },
  { name: "sheet.row", type: "integer", title: t("sheet: row") },
  { name: "sheet.column", type: "text", title: t("sheet: column") },
  { name: "sheet.scale", type: "real", title: t("sheet: scale, 1 : n") },
  { name: "sheet.north", type: "text", title: t("sheet: neighbour north") },
  { name: "sheet.east", type: "text", title: t("sheet: neighbour east") },
  { name: "sheet.south", type: "text", title: t("sheet: neighbour south") },
  { name: "sheet.west", type: "text", title: t("sheet: neighbour west") },
];

// Of a feature beside the one that the sheet is of.
const OF_FEATURES: Attribute[] = [
  { name: "isSheetFeature", type: "boolean", title: t("is the sheet’s feature"), asked: true },
  { name: "touchesSheetFeature", type: "boolean", title: t("touches the sheet’s feature"), asked: true },
  { name: "withinSheetFeature", type: "distance", title: t("distance from the sheet’s feature"), asked: true },
];

/**
 * The names that a condition on sheets can ask for: those of the sheet, and the fields of its feature. The same list as
 * long as nothing of it changes.
 */
export function useSheetAttributes(): Attribute[] {
  const book = useBook();
  const layer = partsOf(book.document.index.area).find((part) => part.layer)?.layer;
  const fields = useAttributes(book.document.layers.some((known) => known.id === layer) ? layer : undefined).data;
  return useMemo(
    () => [
      ...OF_SHEET,
      ...(fields ?? []).map(({ name, type }) => ({
        name: `sheet.feature.${name}`,
        type,
        title: t("sheet’s feature: %{name}", { name }),
      })),
    ],
    [fields],
  );
}

/** With what a condition on the features of a layer can ask for beside their own fields. */
export function useFeatureAttributes(own: Attribute[] | undefined): Attribute[] {
  const ofSheet = useSheetAttributes();
  return useMemo(() => [...(own ?? []), ...OF_FEATURES, ...ofSheet], [own, ofSheet]);
}
