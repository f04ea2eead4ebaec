import type { ElementOf } from "../api/types";
import { Choice } from "../fields/Choice";
import { useLayout } from "./layout";
import { titleOf } from "./useElements";
import { t } from "../texts/t";

/**
 * Whether the rows of a legend or a table are its own, or go on from another one of the page; nothing where it is
 * alone.
 */
export function ContinuesChoice({
  element,
  onSave,
}: {
  element: ElementOf<"legend"> | ElementOf<"table">;
  onSave: (patch: { continues: string | undefined }) => Promise<unknown>;
}) {
  const { layout } = useLayout();
  const others = layout.elements.filter((known) => known.kind === element.kind && known.id !== element.id);
  if (others.length === 0) return null;
  return (
    <Choice
      label={t("Its rows")}
      value={element.continues ?? ""}
      choices={[
        ["", t("are its own")],
        ...others.map((other) => [other.id, t("continue %{other}", { other: titleOf(other) })] as const),
      ]}
      onChoose={(id) => onSave({ continues: id || undefined })}
    />
  );
}
