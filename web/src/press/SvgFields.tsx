import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { Pair } from "../fields/Pair";
import type { FormOf } from "./order";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** How the drawings are written. */
export function SvgFields({
  form,
  change,
}: {
  form: FormOf<"svg_sheets">;
  change: (patch: Partial<FormOf<"svg_sheets">>) => Promise<unknown>;
}) {
  const svg = filled(form, defaults.svg_sheets_form);
  return (
    <Pair>
      <Choice
        label={t("Text")}
        wide
        value={svg.text}
        choices={choices.svg_sheets_form.text}
        onChoose={(text) => change({ text })}
      />
      <Flag label={t("Links between the sheets")} value={svg.links} onSave={(links) => change({ links })} />
    </Pair>
  );
}
