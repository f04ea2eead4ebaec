import { Choice } from "../../fields/Choice";
import { Field } from "../../fields/Field";
import { Flag } from "../../fields/Flag";
import { Pair } from "../../fields/Pair";
import { filled } from "../../fields/filled";
import { without } from "../../fields/without";
import { defaults } from "../../generated/defaults";
import type { LegendBar, LegendRow } from "../../api/types";
import { readNumber } from "../../numbers/read";
import { NumberOf } from "../../fields/NumberOf";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";

type Entry = Extract<LegendRow, { kind: "entry" }>;

/** A ramp of colours drawn out as a bar, with labels at chosen values. */
export function BarFields({
  row,
  ramp,
  put,
}: {
  row: Entry;
  ramp: [number, number];
  put: (row: LegendRow, label?: string) => Promise<unknown>;
}) {
  const bar = row.bar;
  const shown = filled(bar, defaults.legend_bar);
  const keep = (patch: Partial<LegendBar>) =>
    put(
      {
        ...row,
        bar: Object.fromEntries(Object.entries({ ...bar, ...patch }).filter(([, value]) => value !== undefined)),
      },
      "Bar of a ramp",
    );
  return (
    <>
      <Flag
        label={t("Drawn out as a bar")}
        value={bar !== undefined}
        onSave={(on) => put(on ? { ...row, bar: {} } : without(row, "bar"), "Bar of a ramp")}
      />
      {bar && (
        <>
          <Pair>
            <Choice
              label={t("Direction")}
              value={shown.direction}
              choices={choices.legend_bar.direction}
              onChoose={(direction) => keep({ direction })}
            />
            <NumberOf label={t("Length, mm")} part="legend_bar" of="length_mm" given={shown} onSave={keep} />
            <NumberOf label={t("Thickness, mm")} part="legend_bar" of="thickness_mm" given={shown} onSave={keep} />
            <NumberOf label={t("Decimals")} part="legend_bar" of="decimals" given={bar} placeholder="0" onSave={keep} />
          </Pair>
          <Field
            label={t("Labelled values")}
            value={(bar.labels ?? []).join("; ")}
            placeholder={t("its ends, %{value}; %{value2}", { value: tidy(ramp[0]), value2: tidy(ramp[1]) })}
            onSave={(text) => keep({ labels: numbers(text) })}
          />
          <Field
            label={t("Unit")}
            value={bar.unit ?? ""}
            placeholder={t("the layer’s own")}
            onSave={(text) => keep({ unit: text.trim() || undefined })}
          />
        </>
      )}
    </>
  );
}

const tidy = (value: number) => String(Math.round(value * 100) / 100);

function numbers(text: string): number[] | undefined {
  const parts = text
    .split(";")
    .map((part) => part.trim())
    .filter((part) => part !== "");
  if (parts.length === 0) return undefined;
  return parts.map((part) => {
    const number = readNumber(part);
    if (number === null) throw new Error(t("Enter values separated by semicolons, such as 300; 350; 400."));
    return number;
  });
}
