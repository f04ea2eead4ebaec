import { Box, Button } from "@mui/material";
import type { LegendRow } from "../../api/types";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Choice } from "../../fields/Choice";
import { Field } from "../../fields/Field";
import { Flag } from "../../fields/Flag";
import { Pair } from "../../fields/Pair";
import { NumberOrNone } from "../../fields/NumberOrNone";
import { areaSamples, lineSamples } from "../../generated/kinds";
import { Fold } from "../../frame/Fold";
import { ShownOnFields } from "../ShownOnFields";
import { SymbolEditor } from "../../symbols/SymbolEditor";
import { useLayout } from "../layout";
import { isFrame } from "../kinds";
import { BarFields } from "./BarFields";
import {
  changed,
  inserted,
  isReset,
  joined,
  keysOf,
  merged,
  removed,
  reset,
  split,
  titled,
  type RowShown,
} from "./rows";
import { limits } from "../../generated/limits";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

interface RowFieldsProps {
  rows: RowShown[];
  index: number;
  onSave: (rows: LegendRow[], label: string) => Promise<unknown>;
  onPick: (row: number | null) => void;
}

type RowOf<Kind extends LegendRow["kind"]> = Extract<LegendRow, { kind: Kind }>;

/** One row of a legend: its words, what of it is drawn and how, and what can be done with it. */
export function RowFields({ rows, index, onSave, onPick }: RowFieldsProps) {
  const shown = rows[index]!;
  const row = shown.row;
  const { role } = useLayout();
  const put = (fresh: LegendRow, label = "Row of the legend") => onSave(changed(rows, index, fresh), label);
  const act = (list: LegendRow[], label: string) => {
    onPick(null);
    void onSave(list, label).catch(toldElsewhere);
  };
  const above = rows.slice(0, index).findLastIndex((other) => other.row.kind === "entry");
  return (
    <Box
      role="group"
      aria-label={t("Row %{name}", { name: shown.name })}
      sx={{ display: "grid", gap: 1, pt: 0.5, pb: 1.5, pl: 1 }}
    >
      {row.kind === "entry" && (
        <>
          <TitleField shown={shown} put={put} />
          {!shown.ramp && <SampleField row={row} shape={shown.shape} put={put} />}
          {shown.ramp && <BarFields row={row} ramp={shown.ramp} put={put} />}
          <Flag
            label={t("Hidden in this legend")}
            value={row.hidden ?? false}
            onSave={(hidden) => put(given({ ...row, hidden: hidden || undefined }), "Hide in the legend")}
          />
        </>
      )}
      {row.kind === "heading" && <TitleField shown={shown} put={put} label={t("Heading")} />}
      {row.kind === "note" && (
        <Field
          label={t("Note, with live text")}
          value={row.text}
          multiline
          onSave={(text) => put(titled(row, text, []), "Note of the legend")}
        />
      )}
      {row.kind === "own" && <OwnFields row={row} shown={shown} put={put} />}
      {row.kind === "steps" && <StepsFields row={row} shown={shown} put={put} />}
      {row.kind === "grid" && <GridFields row={row} put={put} />}
      {role === "sheets" && (
        <Fold title={row.shown_on ? t("On some sheets") : t("On all sheets")}>
          <ShownOnFields
            about={shown.name}
            given={row.shown_on}
            onSave={(shown_on) => put(given({ ...row, shown_on }), "Sheets of a row of the legend")}
          />
        </Fold>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.25 }}>
        <Button
          onClick={() => act(inserted(rows, index, { kind: "heading", title: t("Heading") }), "Heading of the legend")}
        >
          {t("Heading above")}
        </Button>
        {row.kind === "entry" && above >= 0 && (
          <Button onClick={() => act(merged(rows, above, index), "Merge rows of the legend")}>
            {rich(t("Merge with <1/>"), { 1: rows[above]!.name })}
          </Button>
        )}
        {shown.steps && (
          <Button onClick={() => act(joined(rows, index), "Steps of the legend")}>{t("Join the classes")}</Button>
        )}
        {keysOf(row).length > 1 && (
          <Button onClick={() => act(split(rows, index), "Split a row of the legend")}>{t("Split")}</Button>
        )}
        {row.kind === "entry" && shown.state !== "gone" && !isReset(row) && (
          <Button onClick={() => act(reset(rows, index), "Reset a row of the legend")}>{t("Reset row")}</Button>
        )}
        {(row.kind === "heading" || row.kind === "note" || row.kind === "own" || row.kind === "grid") && (
          <Button color="error" onClick={() => act(removed(rows, index), "Remove a row of the legend")}>
            {t("Remove the row")}
          </Button>
        )}
        {shown.state === "gone" && (
          <Button color="error" onClick={() => act(removed(rows, index), "Delete a row of the legend")}>
            {t("Delete row")}
          </Button>
        )}
      </Box>
    </Box>
  );
}

type Put = (row: LegendRow, label?: string) => Promise<unknown>;

// Without members that are not given.
function given<R extends LegendRow>(row: R): R {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined)) as unknown as R;
}

function TitleField({ shown, put, label = t("Title in this legend") }: { shown: RowShown; put: Put; label?: string }) {
  return (
    <Field
      label={label}
      value={shown.name}
      onSave={(text) => put(titled(shown.row, text, shown.on_map), "Title in the legend")}
    />
  );
}

function SampleField({ row, shape, put }: { row: RowOf<"entry"> | RowOf<"own">; shape: RowShown["shape"]; put: Put }) {
  if (shape !== "area" && shape !== "line") return null;
  return (
    <Choice
      label={t("Sample")}
      value={row.sample ?? ""}
      choices={[["", t("the legend’s own")], ...(shape === "area" ? areaSamples : lineSamples)]}
      onChoose={(sample) => put(given({ ...row, sample: sample === "" ? undefined : sample }), "Sample of the legend")}
    />
  );
}

function OwnFields({ row, shown, put }: { row: RowOf<"own">; shown: RowShown; put: Put }) {
  return (
    <>
      <TitleField shown={shown} put={put} label={t("Text")} />
      <Pair>
        <Choice
          label={t("Drawn as")}
          value={row.shape ?? "area"}
          choices={choices.own_legend_row.shape}
          onChoose={(shape) => put({ ...row, shape }, "Own entry of the legend")}
        />
        <SampleField row={row} shape={row.shape ?? "area"} put={put} />
      </Pair>
      <SymbolEditor
        symbol={row.symbol ?? {}}
        kind={row.shape ?? "area"}
        name={row.title}
        onSave={(symbol) => put({ ...row, symbol }, "Own entry of the legend")}
      />
    </>
  );
}

function StepsFields({ row, shown, put }: { row: RowOf<"steps">; shown: RowShown; put: Put }) {
  return (
    <>
      <Field
        label={t("Title above the steps")}
        value={row.title ?? ""}
        placeholder={t("none")}
        onSave={(text) => put(titled(row, text, shown.on_map), "Steps of the legend")}
      />
      <Choice
        label={t("Labelled with")}
        value={row.labels ?? "limits"}
        choices={choices.steps_legend_row.labels}
        onChoose={(labels) => put({ ...row, labels }, "Steps of the legend")}
      />
      <Pair>
        <NumberOrNone
          label={t("Decimals")}
          placeholder="0"
          value={row.decimals}
          limits={limits.steps_legend_row.decimals}
          onSave={(decimals) => put(given({ ...row, decimals }), "Steps of the legend")}
        />
        <Field
          label={t("Unit")}
          value={row.unit ?? ""}
          onSave={(text) => put(given({ ...row, unit: text.trim() || undefined }), "Steps of the legend")}
        />
      </Pair>
    </>
  );
}

function GridFields({ row, put }: { row: RowOf<"grid">; put: Put }) {
  const { layout } = useLayout();
  const grids = layout.elements.find(isFrame)?.grids ?? [];
  return (
    <>
      <Choice
        label={t("Grid")}
        value={row.grid ?? ""}
        choices={[["", t("the frame’s first grid")], ...grids.map((grid) => [grid.id, grid.title ?? grid.id] as const)]}
        onChoose={(grid) => put(given({ ...row, grid: grid || undefined }), "Grid in the legend")}
      />
      <Field
        label={t("Title")}
        value={row.title ?? ""}
        placeholder={t("Grid")}
        onSave={(text) => put(given({ ...row, title: text.trim() || undefined }), "Grid in the legend")}
      />
    </>
  );
}
