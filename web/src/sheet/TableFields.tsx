import AddIcon from "@mui/icons-material/Add";
import DownIcon from "@mui/icons-material/ArrowDownwardOutlined";
import UpIcon from "@mui/icons-material/ArrowUpwardOutlined";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton, TextField } from "@mui/material";
import { useEffect, useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { useAttributes, type Attribute } from "../api/useAttributes";
import type { ElementOf, TableColumn } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { ConditionEditor } from "../fields/ConditionEditor";
import { Field } from "../fields/Field";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { NumberOrNone } from "../fields/NumberOrNone";
import { Pair } from "../fields/Pair";
import { useFeatureAttributes, useSheetAttributes } from "../fields/sheetConditions";
import { filled } from "../fields/filled";
import { Heading } from "../frame/Card";
import { Fold } from "../frame/Fold";
import { defaults } from "../generated/defaults";
import { contentsFields } from "../generated/kinds";
import { ContinuesChoice } from "./ContinuesChoice";
import { FaceChoice } from "../fields/FaceChoice";
import { whole } from "./kinds";
import { titleOf } from "./useElements";
import { limits } from "../generated/limits";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Table = ElementOf<"table">;

const FIRST_FIELDS = 3;

// What contents have of a sheet or a page, and the columns that they begin with.
const CONTENTS: readonly string[] = contentsFields;
const CONTENTS_COLUMNS: Table["columns"] = [
  { title: t("Sheet"), field: "name" },
  { title: t("Page"), field: "page", align: "right", width_mm: 16 },
];

/** A table: where its rows come from, its columns, how it is set. */
export function TableFields({
  element,
  onSave,
}: {
  element: Table;
  onSave: (patch: Partial<Table>) => Promise<unknown>;
}) {
  const book = useBook();
  const shown = whole(element);
  const layers = book.document.layers.filter((layer) => !layer.raster);
  const ofLayer = useAttributes(element.layer).data;
  const ofSheets = useSheetAttributes().filter(({ name }) => name.startsWith("sheet.feature."));
  const attributes = useFeatureAttributes(ofLayer);
  const fieldNames =
    shown.contents === "none"
      ? (ofLayer ?? []).map(({ name }) => name)
      : [...CONTENTS, ...ofSheets.map(({ name }) => name.slice("sheet.".length))];
  // A table without fields begins with the first ones of its layer.
  const list = async (id: string) => {
    const rest = { layer: undefined, when: undefined, sorted_by: undefined };
    if (id === "") return onSave({ ...rest, contents: undefined });
    if (id.startsWith("contents ")) {
      const contents = id.split(" ")[1] as Table["contents"];
      const known = element.columns.some(({ field }) => field && CONTENTS.includes(field));
      return onSave({ ...rest, contents, rows: undefined, ...(known ? {} : { columns: CONTENTS_COLUMNS }) });
    }
    const fields = await get<Attribute[]>(`/api/books/${book.id}/layers/${id}/attributes`);
    const known = element.columns.some(({ field }) => fields.some(({ name }) => name === field));
    const columns = fields.slice(0, FIRST_FIELDS).map(({ name }) => ({ title: name, field: name }));
    return onSave({
      layer: id,
      contents: undefined,
      rows: undefined,
      when: undefined,
      sorted_by: undefined,
      ...(known || columns.length === 0 ? {} : { columns }),
    });
  };
  return (
    <>
      <Heading text={t("Rows")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        <ContinuesChoice element={element} onSave={onSave} />
        {!element.continues && (
          <>
            <Choice
              label={t("Lists")}
              value={shown.contents === "none" ? (element.layer ?? "") : `contents ${shown.contents}`}
              choices={[
                ["", t("rows by hand")],
                ["contents sheets", t("the sheets of the book")],
                ["contents pages", t("all pages of the book")],
                ...layers.map((layer) => [layer.id, layer.title] as const),
              ]}
              onChoose={list}
            />
            {shown.contents !== "none" ? null : element.layer ? (
              <>
                <Choice
                  label={t("Records")}
                  value={shown.records}
                  choices={choices.table_element.records}
                  onChoose={(records) => onSave({ records })}
                />
                <ConditionEditor
                  about={t("Records of %{element}", { element: titleOf(element) })}
                  attributes={attributes}
                  condition={element.when}
                  onSave={(when) => onSave({ when: when as Table["when"] })}
                />
                <Sorting element={element} fields={fieldNames} onSave={onSave} />
              </>
            ) : (
              <Cells element={element} onSave={onSave} />
            )}
          </>
        )}
      </Box>
      {!element.continues && <Columns element={element} fields={fieldNames} onSave={onSave} />}
      <Heading text={t("Appearance")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        <Field
          label={t("Caption, with live text")}
          value={element.caption ?? ""}
          placeholder={t("none")}
          onSave={(text) => onSave({ caption: text.trim() || undefined })}
        />
        <Field
          label={t("Where there are no rows")}
          value={element.empty ?? ""}
          placeholder={t("nothing")}
          onSave={(text) => onSave({ empty: text.trim() || undefined })}
        />
        <Flag label={t("Columns’ titles")} value={shown.heads} onSave={(heads) => onSave({ heads })} />
        <ColourBeside
          colour={
            <Colour label={t("Colour of the table")} value={shown.colour} onSave={(colour) => onSave({ colour })} />
          }
        >
          <NumberOf label={t("Size, pt")} part="table_element" of="size_pt" given={shown} onSave={onSave} />
          <NumberOf
            label={t("Minimum size, pt")}
            part="table_element"
            of="minimum_pt"
            given={element}
            placeholder={t("never")}
            onSave={onSave}
          />
          <FaceChoice wide label={t("Cells")} value={shown.face} onChoose={(face) => onSave({ face })} />
          <FaceChoice
            wide
            label={t("Titles")}
            value={shown.head_face}
            onChoose={(head_face) => onSave({ head_face })}
          />
          <NumberOf label={t("Padding, mm")} part="table_element" of="padding_mm" given={shown} onSave={onSave} />
          <NumberOf label={t("Line height")} part="table_element" of="line_height" given={shown} onSave={onSave} />
        </ColourBeside>
      </Box>
      <Fold title={t("Lines and areas")}>
        <Box sx={{ display: "grid", gap: 0.5, justifyItems: "start" }}>
          <Painted
            label={t("Fill behind the titles")}
            colour={element.head_fill?.colour}
            start="#e8dfc4"
            onSave={(colour) => onSave({ head_fill: colour === undefined ? undefined : { colour } })}
          />
          <Painted
            label={t("Fill behind every other row")}
            colour={element.band_fill?.colour}
            start="#f6f1e4"
            onSave={(colour) => onSave({ band_fill: colour === undefined ? undefined : { colour } })}
          />
          <Painted
            label={t("Outline of the table")}
            colour={element.stroke && filled(element.stroke, defaults.stroke).colour}
            start="#1f2a30"
            onSave={(colour) =>
              onSave({ stroke: colour === undefined ? undefined : { width_mm: 0.2, ...element.stroke, colour } })
            }
          />
          <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
            <Colour
              label={t("Colour of the lines below rows")}
              value={filled(shown.rule, defaults.stroke).colour}
              onSave={(colour) => onSave({ rule: { ...shown.rule, colour } })}
            />
            <Measured
              label={t("Lines below rows, mm")}
              value={filled(shown.rule, defaults.stroke).width_mm}
              limits={limits.stroke.width_mm}
              onSave={(width_mm) => onSave({ rule: { ...shown.rule, width_mm } })}
            />
          </Box>
        </Box>
      </Fold>
    </>
  );
}

// A colour that is there or not.
function Painted({
  label,
  colour,
  start,
  onSave,
}: {
  label: string;
  colour: string | undefined;
  start: string;
  onSave: (colour: string | undefined) => Promise<unknown>;
}) {
  return (
    <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
      {colour && <Colour label={t("Colour of the %{label}", { label })} value={colour} onSave={onSave} />}
      <Button onClick={() => void onSave(colour ? undefined : start).catch(toldElsewhere)}>
        {colour ? t("No %{label}", { label }) : `${label[0]!.toUpperCase()}${label.slice(1)}`}
      </Button>
    </Box>
  );
}

// Cells by hand: a line a row, with tabs or bars between its cells.
function Cells({ element, onSave }: { element: Table; onSave: (patch: Partial<Table>) => Promise<unknown> }) {
  const written = (element.rows ?? []).map((row) => row.join(" | ")).join("\n");
  const [text, setText] = useState(written);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => setText(written), [written]);
  const keep = async () => {
    if (text === written) return setProblem(null);
    const rows = text
      .split("\n")
      .filter((line) => line.trim() !== "")
      .map((line) => line.split(/\t|(?<!\|)\|(?!\|)/).map((cell) => cell.trim()));
    try {
      await onSave({ rows });
      setProblem(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <TextField
      multiline
      maxRows={10}
      margin="dense"
      label={t("Rows, with | between cells")}
      value={text}
      error={!!problem}
      helperText={problem}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => void keep()}
      slotProps={{ formHelperText: { role: "alert" } }}
    />
  );
}

function Sorting({
  element,
  fields,
  onSave,
}: {
  element: Table;
  fields: string[];
  onSave: (patch: Partial<Table>) => Promise<unknown>;
}) {
  const sortings = element.sorted_by ?? [];
  const put = (index: number, field: string, descending: boolean) => {
    const list = sortings.filter((_, place) => place !== index);
    if (field !== "") list.splice(index, 0, descending ? { field, descending } : { field });
    return onSave({ sorted_by: list.length === 0 ? undefined : list });
  };
  return (
    <>
      {[...sortings, { field: "", descending: false }].slice(0, 5).map((sorting, index) => (
        <Pair key={index}>
          <Choice
            label={index === 0 ? t("Sorted by") : t("then by")}
            value={sorting.field}
            choices={[
              ["", index === 0 ? t("as they come") : t("nothing more")],
              ...[...new Set([...fields, sorting.field])]
                .filter((name) => name !== "")
                .map((name) => [name, name] as const),
            ]}
            onChoose={(field) => put(index, field, sorting.descending ?? false)}
          />
          {sorting.field !== "" && (
            <Choice
              label={t("Order")}
              value={sorting.descending ? "down" : "up"}
              choices={[
                ["up", t("rising")],
                ["down", t("falling")],
              ]}
              onChoose={(order) => put(index, sorting.field, order === "down")}
            />
          )}
        </Pair>
      ))}
    </>
  );
}

function Columns({
  element,
  fields,
  onSave,
}: {
  element: Table;
  fields: string[];
  onSave: (patch: Partial<Table>) => Promise<unknown>;
}) {
  const columns = element.columns;
  const put = (list: TableColumn[]) => void onSave({ columns: list }).catch(toldElsewhere);
  const change = (index: number, patch: Partial<TableColumn>) =>
    onSave({
      columns: columns.map((column, place) =>
        place === index
          ? (Object.fromEntries(
              Object.entries({ ...column, ...patch }).filter(([, value]) => value !== undefined),
            ) as TableColumn)
          : column,
      ),
    });
  const move = (index: number, by: number) => {
    const list = [...columns];
    const [taken] = list.splice(index, 1);
    list.splice(index + by, 0, taken!);
    put(list);
  };
  return (
    <>
      <Heading text={t("Columns")} />
      <Box component="ol" aria-label={t("Columns of the table")} sx={{ m: 0, p: 0, listStyle: "none" }}>
        {columns.map((column, index) => {
          const shown = filled(column, defaults.table_column);
          const name = shown.title || column.field || t("column %{value}", { value: index + 1 });
          return (
            <Box component="li" key={index} sx={{ borderBottom: 1, borderColor: "divider", py: 1 }}>
              <Pair>
                <Field
                  label={t("Title")}
                  value={shown.title}
                  onSave={(title) => change(index, { title: title.trim() })}
                />
                {element.layer && (
                  <Choice
                    label={t("Field")}
                    value={column.field ?? ""}
                    choices={[
                      ["", t("none")],
                      ...[...new Set([...fields, column.field ?? ""])]
                        .filter((field) => field !== "")
                        .map((field) => [field, field] as const),
                    ]}
                    onChoose={(field) =>
                      change(index, { field: field || undefined, title: shown.title === "" ? field : shown.title })
                    }
                  />
                )}
                <NumberOf
                  label={t("Width, mm")}
                  part="table_column"
                  of="width_mm"
                  given={column}
                  placeholder={t("shared")}
                  onSave={(patch) => change(index, patch)}
                />
                <Choice
                  label={t("Aligned")}
                  value={shown.align}
                  choices={choices.table_column.align}
                  onChoose={(align) => change(index, { align })}
                />
                {element.layer && (
                  <>
                    <NumberOrNone
                      label={t("Decimals")}
                      placeholder={t("as they are")}
                      value={column.decimals}
                      limits={limits.table_column.decimals}
                      onSave={(decimals) => change(index, { decimals })}
                    />
                    <Field
                      label={t("Unit")}
                      value={column.unit ?? ""}
                      onSave={(unit) => change(index, { unit: unit.trim() || undefined })}
                    />
                  </>
                )}
              </Pair>
              <Box sx={{ display: "flex" }}>
                <IconButton
                  size="small"
                  disabled={index === 0}
                  aria-label={t("Move %{name} to the left", { name })}
                  onClick={() => move(index, -1)}
                >
                  <UpIcon sx={{ fontSize: 16 }} />
                </IconButton>
                <IconButton
                  size="small"
                  disabled={index === columns.length - 1}
                  aria-label={t("Move %{name} to the right", { name })}
                  onClick={() => move(index, 1)}
                >
                  <DownIcon sx={{ fontSize: 16 }} />
                </IconButton>
                <IconButton
                  size="small"
                  disabled={columns.length === 1}
                  aria-label={t("Remove %{name}", { name })}
                  onClick={() => put(columns.filter((_, place) => place !== index))}
                >
                  <RemoveIcon sx={{ fontSize: 16 }} />
                </IconButton>
              </Box>
            </Box>
          );
        })}
      </Box>
      <Button
        startIcon={<AddIcon />}
        onClick={() => {
          const free = fields.find((field) => !columns.some((column) => column.field === field));
          put([...columns, element.layer && free ? { field: free, title: free } : { title: t("Column") }]);
        }}
      >
        {t("Column")}
      </Button>
    </>
  );
}
