import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { pageSizes } from "../generated/kinds";
import { Pair } from "../fields/Pair";
import type { FormOf } from "./order";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Imposed = FormOf<"imposed">;

/** How pages lie on the paper. */
export function ImposedFields({
  form,
  change,
}: {
  form: Imposed;
  change: (patch: Partial<Imposed>) => Promise<unknown>;
}) {
  const imposed = filled(form, defaults.imposed_form);
  const several = imposed.lay === "several on one";
  const parts = imposed.lay === "parts of large pages";
  return (
    <Pair>
      <Choice
        label={t("Pages")}
        wide
        value={imposed.lay}
        choices={choices.imposed_form.lay}
        onChoose={(lay) => change({ lay })}
      />
      <Choice
        label={t("Paper")}
        value={imposed.paper}
        choices={pageSizes.map((size) => [size, size] as const)}
        onChoose={(paper) => change({ paper: paper as Imposed["paper"] })}
      />
      <Choice
        label={t("Orientation")}
        value={imposed.orientation}
        choices={choices.imposed_form.orientation}
        onChoose={(orientation) => change({ orientation })}
      />
      {several && (
        <>
          <NumberOf label={t("Columns")} part="imposed_form" of="across" given={imposed} onSave={change} />
          <NumberOf label={t("Rows")} part="imposed_form" of="down" given={imposed} onSave={change} />
          <NumberOf label={t("Gap, mm")} part="imposed_form" of="gap_mm" given={imposed} onSave={change} />
        </>
      )}
      <NumberOf label={t("Paper margin, mm")} part="imposed_form" of="margin_mm" given={imposed} onSave={change} />
      {parts && (
        <NumberOf label={t("Overlap, mm")} part="imposed_form" of="overlap_mm" given={imposed} onSave={change} />
      )}
      <Flag
        label={parts ? t("Cut and register marks") : t("Cut marks")}
        value={imposed.marks}
        onSave={(marks) => change({ marks })}
      />
      {!parts && (
        <Flag label={t("Do not enlarge")} value={imposed.true_size} onSave={(true_size) => change({ true_size })} />
      )}
    </Pair>
  );
}
