import { Box, Checkbox, ListItemText, MenuItem, TextField } from "@mui/material";
import { useBook } from "../../api/book";
import type { Element, ElementOf } from "../../api/types";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Choice } from "../../fields/Choice";
import { Colour } from "../../fields/Colour";
import { Field } from "../../fields/Field";
import { Pair } from "../../fields/Pair";
import { Heading } from "../../frame/Card";
import { Fold } from "../../frame/Fold";
import { areaSamples, lineSamples } from "../../generated/kinds";
import { ContinuesChoice } from "../ContinuesChoice";
import { FaceChoice } from "../../fields/FaceChoice";
import { PanelFields } from "../PanelFields";
import { elementTitles, isGridded, whole } from "../kinds";
import { useLayout } from "../layout";
import { titleOf } from "../useElements";
import { LegendRows } from "./LegendRows";
import { demandFresh, useLegend } from "./useLegend";
import { NumberOf } from "../../fields/NumberOf";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

type Legend = ElementOf<"legend">;

const CORNERS = [["", t("fills its box")], ...choices.legend_element.grows_from] as const;

/** A legend: what it lists, its rows, how they are laid out and set. */
export function LegendFields({
  element,
  onSave,
}: {
  element: Legend;
  onSave: (patch: Partial<Element>, label?: string) => Promise<unknown>;
}) {
  const book = useBook();
  const { layout } = useLayout();
  const legend = useLegend(element.id);
  const shown = whole(element);
  const frames = layout.elements.filter(isGridded);
  const layers = book.document.layers;
  return (
    <>
      <Heading text={t("Content")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        <div role="status">{legend.data && <Outcome legend={legend.data} />}</div>
        <ContinuesChoice element={element} onSave={onSave} />
        {!element.continues && (
          <>
            <Choice
              label={t("Lists")}
              value={shown.content}
              choices={choices.legend_element.content}
              onChoose={(content) => onSave({ content })}
            />
            {frames.length > 1 && (
              <Choice
                label={t("Explains")}
                value={element.frame ?? ""}
                choices={[
                  ["", t("the main frame")],
                  ...frames.map((frame) => [frame.id, `${titleOf(frame)} (${elementTitles[frame.kind]})`] as const),
                ]}
                onChoose={(frame) => onSave({ frame: frame || undefined })}
              />
            )}
            <TextField
              select
              label={t("Layers")}
              value={element.layers ?? []}
              slotProps={{
                select: {
                  multiple: true,
                  displayEmpty: true,
                  renderValue: (chosen) =>
                    (chosen as string[]).length === 0
                      ? "all"
                      : layers
                          .filter((layer) => (chosen as string[]).includes(layer.id))
                          .map((layer) => layer.title)
                          .join(", "),
                },
                inputLabel: { shrink: true },
              }}
              onChange={(event) => {
                const chosen = event.target.value as unknown as string[];
                void onSave({ layers: chosen.length === 0 ? undefined : chosen }).catch(toldElsewhere);
              }}
            >
              {layers.map((layer) => (
                <MenuItem key={layer.id} value={layer.id} dense>
                  <Checkbox size="small" checked={element.layers?.includes(layer.id) ?? false} sx={{ p: 0.5 }} />
                  <ListItemText primary={layer.title} />
                </MenuItem>
              ))}
            </TextField>
            {!element.rows && (
              <Choice
                label={t("Headings")}
                value={shown.headings}
                choices={choices.legend_element.headings}
                onChoose={(headings) => onSave({ headings })}
              />
            )}
          </>
        )}
        <Field
          label={t("Title, with live text")}
          value={element.legend_title ?? ""}
          placeholder={t("none")}
          onSave={(text) => onSave({ legend_title: text.trim() || undefined })}
        />
      </Box>
      {legend.data && !element.continues && (
        <LegendRows
          element={element}
          legend={legend.data}
          onSave={async (rows, label) => {
            demandFresh(legend);
            return onSave({ rows }, label);
          }}
        />
      )}
      <Heading text={t("Layout")} />
      <Pair>
        <NumberOf label={t("Columns")} part="legend_element" of="columns" given={shown} onSave={onSave} />
        <NumberOf
          label={t("Maximum columns")}
          part="legend_element"
          of="most_columns"
          given={element}
          placeholder={t("no more")}
          onSave={onSave}
        />
        <NumberOf label={t("Column gap, mm")} part="legend_element" of="column_gap_mm" given={shown} onSave={onSave} />
        <NumberOf label={t("Row height, mm")} part="legend_element" of="pitch_mm" given={shown} onSave={onSave} />
        <NumberOf label={t("Size, pt")} part="legend_element" of="size_pt" given={shown} onSave={onSave} />
        <NumberOf
          label={t("Minimum size, pt")}
          part="legend_element"
          of="minimum_pt"
          given={element}
          placeholder={t("does not shrink")}
          onSave={onSave}
        />
      </Pair>
      <Box sx={{ mt: 1, display: "grid" }}>
        <Choice
          label={t("Extent")}
          value={element.grows_from ?? ""}
          choices={CORNERS}
          onChoose={(corner) => onSave({ grows_from: corner === "" ? undefined : corner })}
        />
      </Box>
      <Fold title={t("Samples")}>
        <Pair>
          <NumberOf
            label={t("Sample width, mm")}
            part="legend_element"
            of="sample_width_mm"
            given={shown}
            onSave={onSave}
          />
          <NumberOf
            label={t("Sample height, mm")}
            part="legend_element"
            of="sample_height_mm"
            given={shown}
            onSave={onSave}
          />
          <Choice
            label={t("Areas")}
            value={shown.area_sample}
            choices={areaSamples}
            onChoose={(area_sample) => onSave({ area_sample })}
          />
          <Choice
            label={t("Lines")}
            value={shown.line_sample}
            choices={lineSamples}
            onChoose={(line_sample) => onSave({ line_sample })}
          />
          <NumberOf label={t("Text gap, mm")} part="legend_element" of="label_gap_mm" given={shown} onSave={onSave} />
          <Choice
            label={t("Own shape")}
            value={element.sample_drawing ?? ""}
            choices={[
              ["", t("none")],
              ...(book.document.markers ?? []).map((marker) => [marker.id, marker.title] as const),
            ]}
            onChoose={(id) => onSave({ sample_drawing: id || undefined })}
          />
        </Pair>
      </Fold>
      <Fold title={t("Type")}>
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: "minmax(0, 2fr) minmax(0, 1fr)",
            gap: 1,
            alignItems: "end",
          }}
        >
          <FaceChoice label={t("Rows")} value={shown.face} onChoose={(face) => onSave({ face })} />
          <Colour label={t("Colour of the legend")} value={shown.colour} onSave={(colour) => onSave({ colour })} />
          <FaceChoice label={t("Title")} value={shown.title_face} onChoose={(title_face) => onSave({ title_face })} />
          <NumberOf
            label={t("Title, pt")}
            part="legend_element"
            of="title_pt"
            given={element}
            placeholder="× 1.25"
            onSave={onSave}
          />
          <FaceChoice
            label={t("Headings")}
            value={shown.heading_face}
            onChoose={(heading_face) => onSave({ heading_face })}
          />
          <NumberOf
            label={t("Headings, pt")}
            part="legend_element"
            of="heading_pt"
            given={element}
            placeholder={t("as rows")}
            onSave={onSave}
          />
          <FaceChoice label={t("Notes")} value={shown.note_face} onChoose={(note_face) => onSave({ note_face })} />
          <NumberOf
            label={t("Notes, pt")}
            part="legend_element"
            of="note_pt"
            given={element}
            placeholder={t("as rows")}
            onSave={onSave}
          />
          <NumberOf
            label={t("Above headings, mm")}
            part="legend_element"
            of="heading_gap_mm"
            given={shown}
            onSave={onSave}
          />
        </Box>
      </Fold>
      <Heading text={t("Backing")} />
      <PanelFields element={element} onSave={onSave} />
      <Box sx={{ mt: 1, width: 120 }}>
        <NumberOf label={t("Padding, mm")} part="legend_element" of="padding_mm" given={shown} onSave={onSave} />
      </Box>
    </>
  );
}

// "12 rows in 2 columns at 7 pt." Rows that have no room are told below, with what to do.
function Outcome({ legend }: { legend: { count: number; fitting: number; columns: number; size_pt: number } }) {
  const rows = `${legend.count} ${legend.count === 1 ? "row" : "rows"}`;
  const columns = legend.columns > 1 ? t(" in %{columns} columns", { columns: legend.columns }) : "";
  return (
    <Box sx={{ fontSize: 13.5 }}>
      {rich(t("<1/><2/> at <3/> pt<4/>."), {
        1: rows,
        2: columns,
        3: legend.size_pt,
        4: legend.fitting < legend.count ? t("; room for %{fitting}", { fitting: legend.fitting }) : "",
      })}
    </Box>
  );
}
