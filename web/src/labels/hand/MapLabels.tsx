import { useContext } from "react";
import { useSheet } from "../../frame/useSheet";
import { LabelsOnPage } from "./LabelsOnPage";
import { LabelsPanel } from "./LabelsPanel";
import { MarkedLabelsContext } from "./marked";
import { useLabels } from "./useLabels";

function useMarked() {
  const marked = useContext(MarkedLabelsContext);
  const { cell, page, number } = useSheet();
  const labels = useLabels(number, cell?.name ?? page?.name ?? "", marked.shown);
  return { labels, marked };
}

/** In a card: what there is to the labels of the page that is shown. */
export function MapLabelsPanel() {
  const { labels, marked } = useMarked();
  return (
    <LabelsPanel
      labels={labels}
      shown={marked.shown}
      onShown={marked.setShown}
      picked={marked.picked}
      onPick={marked.setPicked}
    />
  );
}

/** Over the page: their marks, where they are wanted. */
export function MapLabelMarks({ perMm, size: [width, height] }: { perMm: number; size: [number, number] }) {
  const { labels, marked } = useMarked();
  if (!marked.shown) return null;
  return (
    <LabelsOnPage
      labels={labels}
      perMm={perMm}
      width={width}
      height={height}
      picked={marked.picked}
      onPick={marked.setPicked}
    />
  );
}
