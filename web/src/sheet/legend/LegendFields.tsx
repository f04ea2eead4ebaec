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

type Legend = ElementOf<"legend">;

const CORNERS = [["", "fills its box"], ...choices.legend_element.grows_from] as const;

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
      <Heading text="Content" />
      <Box sx={{ display: "grid", gap: 1 }}>
        <div role="status">{legend.data && <Outcome legend={legend.data} />}</div>
        <ContinuesChoice element={element} onSave={onSave} />
        {!element.continues && (
          <>
            <Choice
              label="Lists"
              value={shown.content}
              choices={choices.legend_element.content}
              onChoose={(content) => onSave({ content })}
            />
            {frames.length > 1 && (
              <Choice
                label="Explains"
                value={element.frame ?? ""}
                choices={[
                  ["", "the main frame"],
                  ...frames.map((frame) => [frame.id, `${titleOf(frame)} (${elementTitles[frame.kind]})`] as const),
                ]}
                onChoose={(frame) => onSave({ frame: frame || undefined })}
              />
            )}
            <TextField
              select
              label="Layers"
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
                label="Headings"
                value={shown.headings}
                choices={choices.legend_element.headings}
                onChoose={(headings) => onSave({ headings })}
              />
            )}
          </>
        )}
        <Field
          label="Title, with live text"
          value={element.legend_title ?? ""}
          placeholder="none"
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
      <Heading text="Layout" />
      <Pair>
        <NumberOf label="Columns" part="legend_element" of="columns" given={shown} onSave={onSave} />
        <NumberOf
          label="Maximum columns"
          part="legend_element"
          of="most_columns"
          given={element}
          placeholder="no more"
          onSave={onSave}
        />
        <NumberOf label="Column gap, mm" part="legend_element" of="column_gap_mm" given={shown} onSave={onSave} />
        <NumberOf label="Row height, mm" part="legend_element" of="pitch_mm" given={shown} onSave={onSave} />
        <NumberOf label="Size, pt" part="legend_element" of="size_pt" given={shown} onSave={onSave} />
        <NumberOf
          label="Minimum size, pt"
          part="legend_element"
          of="minimum_pt"
          given={element}
          placeholder="does not shrink"
          onSave={onSave}
        />
      </Pair>
      <Box sx={{ mt: 1, display: "grid" }}>
        <Choice
          label="Extent"
          value={element.grows_from ?? ""}
          choices={CORNERS}
          onChoose={(corner) => onSave({ grows_from: corner === "" ? undefined : corner })}
        />
      </Box>
      <Fold title="Samples">
        <Pair>
          <NumberOf label="Sample width, mm" part="legend_element" of="sample_width_mm" given={shown} onSave={onSave} />
          <NumberOf
            label="Sample height, mm"
            part="legend_element"
            of="sample_height_mm"
            given={shown}
            onSave={onSave}
          />
          <Choice
            label="Areas"
            value={shown.area_sample}
            choices={areaSamples}
            onChoose={(area_sample) => onSave({ area_sample })}
          />
          <Choice
            label="Lines"
            value={shown.line_sample}
            choices={lineSamples}
            onChoose={(line_sample) => onSave({ line_sample })}
          />
          <NumberOf label="Text gap, mm" part="legend_element" of="label_gap_mm" given={shown} onSave={onSave} />
          <Choice
            label="Own shape"
            value={element.sample_drawing ?? ""}
            choices={[
              ["", "none"],
              ...(book.document.markers ?? []).map((marker) => [marker.id, marker.title] as const),
            ]}
            onChoose={(id) => onSave({ sample_drawing: id || undefined })}
          />
        </Pair>
      </Fold>
      <Fold title="Type">
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: "minmax(0, 2fr) minmax(0, 1fr)",
            gap: 1,
            alignItems: "end",
          }}
        >
          <FaceChoice label="Rows" value={shown.face} onChoose={(face) => onSave({ face })} />
          <Colour label="Colour of the legend" value={shown.colour} onSave={(colour) => onSave({ colour })} />
          <FaceChoice label="Title" value={shown.title_face} onChoose={(title_face) => onSave({ title_face })} />
          <NumberOf
            label="Title, pt"
            part="legend_element"
            of="title_pt"
            given={element}
            placeholder="× 1.25"
            onSave={onSave}
          />
          <FaceChoice
            label="Headings"
            value={shown.heading_face}
            onChoose={(heading_face) => onSave({ heading_face })}
          />
          <NumberOf
            label="Headings, pt"
            part="legend_element"
            of="heading_pt"
            given={element}
            placeholder="as rows"
            onSave={onSave}
          />
          <FaceChoice label="Notes" value={shown.note_face} onChoose={(note_face) => onSave({ note_face })} />
          <NumberOf
            label="Notes, pt"
            part="legend_element"
            of="note_pt"
            given={element}
            placeholder="as rows"
            onSave={onSave}
          />
          <NumberOf
            label="Above headings, mm"
            part="legend_element"
            of="heading_gap_mm"
            given={shown}
            onSave={onSave}
          />
        </Box>
      </Fold>
      <Heading text="Backing" />
      <PanelFields element={element} onSave={onSave} />
      <Box sx={{ mt: 1, width: 120 }}>
        <NumberOf label="Padding, mm" part="legend_element" of="padding_mm" given={shown} onSave={onSave} />
      </Box>
    </>
  );
}

// "12 rows in 2 columns at 7 pt." Rows that have no room are told below, with what to do.
function Outcome({ legend }: { legend: { count: number; fitting: number; columns: number; size_pt: number } }) {
  const rows = `${legend.count} ${legend.count === 1 ? "row" : "rows"}`;
  const columns = legend.columns > 1 ? ` in ${legend.columns} columns` : "";
  return (
    <Box sx={{ fontSize: 13.5 }}>
      {rows}
      {columns} at {legend.size_pt} pt
      {legend.fitting < legend.count ? `; room for ${legend.fitting}` : ""}.
    </Box>
  );
}
