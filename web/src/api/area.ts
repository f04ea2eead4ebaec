import type { AreaPart, Book, Index } from "./types";
import { count } from "./words";
import { t } from "../texts/t";

/** The parts of a study area; the id of a layer stands for all of it. */
export const partsOf = (area: Index["area"]): AreaPart[] => (typeof area === "string" ? [{ layer: area }] : area);

/** One whole layer is written as its id. */
export const areaOf = (parts: AreaPart[]): Index["area"] => {
  const [only] = parts;
  return parts.length === 1 && only?.layer && !only.when && !only.features ? only.layer : parts;
};

/** "Restoration area and 2 drawn shapes" */
export function areaInWords(book: Book): string {
  const parts = partsOf(book.document.index.area);
  const title = (id: string) => book.document.layers.find((layer) => layer.id === id)?.title ?? id;
  const drawn = parts.filter((part) => part.polygon).length;
  const named = parts
    .filter((part) => part.layer)
    .map((part) =>
      part.features
        ? t("%{value} of %{layer}", { value: count(part.features.length, "feature"), layer: title(part.layer!) })
        : part.when
          ? t("part of %{layer}", { layer: title(part.layer!) })
          : title(part.layer!),
    );
  const list = [...named, ...(drawn ? [count(drawn, "drawn shape")] : [])];
  return list.length > 1
    ? t("%{value} and %{value2}", { value: list.slice(0, -1).join(", "), value2: list[list.length - 1] })
    : (list[0] ?? t("nothing yet"));
}
