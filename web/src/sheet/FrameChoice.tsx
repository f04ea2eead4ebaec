import { Choice } from "../fields/Choice";
import { isFrame, isGridded } from "./kinds";
import { useLayout } from "./layout";
import { titleOf } from "./useElements";
import { t } from "../texts/t";

/** Of which frame of the page an element tells; nothing to choose where there is but one. */
export function FrameChoice({
  value,
  onChoose,
}: {
  value: string | undefined;
  onChoose: (frame: string | undefined) => Promise<unknown>;
}) {
  const { layout } = useLayout();
  const frames = layout.elements.filter(isGridded);
  const own = frames.find(isFrame) ?? frames[0];
  if (frames.length < 2) return null;
  return (
    <Choice
      label={t("Of the frame")}
      wide
      value={value ?? own?.id ?? ""}
      choices={frames.map((known) => [known.id, titleOf(known)] as const)}
      onChoose={(frame) => onChoose(frame === own?.id ? undefined : frame)}
    />
  );
}
