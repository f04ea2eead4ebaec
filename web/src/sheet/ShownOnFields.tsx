import { Box } from "@mui/material";
import type { ShownOn } from "../api/types";
import { Choice } from "../fields/Choice";
import { ConditionEditor } from "../fields/ConditionEditor";
import { Field } from "../fields/Field";
import { filled } from "../fields/filled";
import { useSheetAttributes } from "../fields/sheetConditions";
import { defaults } from "../generated/defaults";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

const SIDES = ["north", "east", "south", "west"] as const;

/** On which sheets an element, or a row of a legend, stands. about: what it is called. */
export function ShownOnFields({
  about,
  given,
  onSave,
}: {
  about: string;
  given: ShownOn | undefined;
  onSave: (shown: ShownOn | undefined) => Promise<unknown>;
}) {
  const attributes = useSheetAttributes();
  const shown = filled(given, defaults.shown_on);
  const keep = (patch: Partial<ShownOn>) => {
    const fresh = Object.fromEntries(
      Object.entries({ ...given, ...patch }).filter(([, value]) => value !== undefined),
    ) as ShownOn;
    return onSave(Object.keys(fresh).length ? fresh : undefined);
  };
  const beside = given?.neighbour ? `${shown.without ? "without" : "with"} ${given.neighbour}` : "";
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Field
        label={t("Names, numbers or ranges of sheets")}
        value={given?.sheets ?? ""}
        placeholder={t("all sheets, or such as A1, B2-C1")}
        onSave={(text) => keep({ sheets: text.trim() || undefined })}
      />
      <Choice
        label={t("Of these")}
        value={shown.which}
        choices={choices.shown_on.which}
        onChoose={(which) => keep({ which: which === "all" ? undefined : which })}
      />
      <Choice
        label={t("Neighbours")}
        value={beside}
        choices={[
          ["", t("whatever they have")],
          ...SIDES.map((side): readonly [string, string] => [
            t("with %{side}", { side }),
            t("with a neighbour %{side}", { side }),
          ]),
          ...SIDES.map((side): readonly [string, string] => [
            t("without %{side}", { side }),
            t("without a neighbour %{side}", { side }),
          ]),
        ]}
        onChoose={(chosen) => {
          const [way, side] = chosen.split(" ");
          return keep({
            neighbour: side as ShownOn["neighbour"],
            without: way === "without" ? true : undefined,
          });
        }}
      />
      <ConditionEditor
        about={t("Sheets of %{about}", { about })}
        attributes={attributes}
        condition={given?.when}
        onSave={(when) => keep({ when: when as ShownOn["when"] })}
      />
    </Box>
  );
}
