import type { LabelRule } from "../api/types";
import { Choice } from "../fields/Choice";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Shape = NonNullable<NonNullable<LabelRule["backing"]>["shape"]>;

/** What stands behind a text, or nothing. */
export function BackgroundChoice({
  label,
  shape,
  onChoose,
}: {
  label: string;
  shape: Shape | undefined;
  onChoose: (shape: Shape | undefined) => Promise<unknown>;
}) {
  return (
    <Choice
      label={label}
      value={shape ?? "none"}
      choices={[["none", t("none")], ...choices.label_backing.shape]}
      onChoose={(chosen) => onChoose(chosen === "none" ? undefined : chosen)}
    />
  );
}
