import { Box, Button, Checkbox, FormControlLabel, Typography } from "@mui/material";
import { Link } from "react-router";
import { useBook } from "../api/book";
import type { Cell } from "../api/types";
import { coordinate, count, paperSize } from "../api/words";
import { readAngle, readNumber, readScale } from "../numbers/read";
import { written } from "../numbers/written";
import { toldElsewhere } from "../api/toldElsewhere";
import { Card, Row } from "../frame/Card";
import { Field } from "../fields/Field";
import { LeftOutOfSheet, Shown, TrueScale } from "../page/TrueScale";
import { useBeside } from "../map/beside";
import type { CellDeeds } from "./useCells";
import { t } from "../texts/t";

interface CellCardProps {
  selected: Cell[];
  cells: CellDeeds;
  onGone: () => void;
}

// What a reader makes of a text; an Error that says what to enter where that is nothing.
function demanded(text: string, reader: (text: string) => number | null, expected: string): number {
  const value = reader(text);
  if (value === null) throw new Error(expected);
  return value;
}

const COORDINATE = t("Enter a coordinate, such as 402 265.1.");

/** What is selected: one cell with all that can be changed of it, or several together. */
export function CellCard({ selected, cells, onGone }: CellCardProps) {
  const book = useBook();
  const { deed } = cells;
  const [first] = selected;
  const one = selected.length === 1;
  const gaps = useBeside(one ? first : undefined)?.gaps ?? [];
  if (!first) return null;
  const pinned = selected.every((cell) => cell.pinned);
  const same = (values: number[]) => (values.every((value) => value === values[0]) ? written(values[0]!) : "");
  const quiet = (work: Promise<unknown>) => void work.catch(toldElsewhere);
  return (
    <Card
      help="cell"
      title={one ? first.name : count(selected.length, "cell")}
      note={one ? t("sheet %{number} of %{length}", { number: first.number, length: book.cells.length }) : undefined}
    >
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.25, alignItems: "end" }}>
        {one && (
          <>
            <Field label={t("Name")} value={first.name} onSave={(name) => deed("rename", { name })} />
            <Field
              label={t("Sheet order")}
              value={written(first.number)}
              onSave={(text) => deed("place", { place: Math.round(demanded(text, readNumber, t("Enter a number."))) })}
            />
            <Field
              label={t("Centre easting, m")}
              value={coordinate(first.centre[0], 3)}
              onSave={(text) => deed("move", { dx: demanded(text, readNumber, COORDINATE) - first.centre[0], dy: 0 })}
            />
            <Field
              label={t("Centre northing, m")}
              value={coordinate(first.centre[1], 3)}
              onSave={(text) => deed("move", { dx: 0, dy: demanded(text, readNumber, COORDINATE) - first.centre[1] })}
            />
          </>
        )}
        <Field
          label={t("Scale, 1 : n")}
          value={same(selected.map((cell) => cell.scale))}
          placeholder={t("different ones")}
          onSave={async (text) => {
            await deed("scale", { scale: demanded(text, readScale, t("Enter a scale, such as 2500.")) });
          }}
        />
        <Field
          label={t("Rotation, ° clockwise")}
          value={same(selected.map((cell) => Math.round(cell.rotation_deg * 1000) / 1000))}
          placeholder={t("different ones")}
          onSave={(text) => deed("rotate", { rotation_deg: demanded(text, readAngle, t("Enter degrees clockwise.")) })}
        />
      </Box>
      <FormControlLabel
        sx={{ mt: 0.5 }}
        control={
          <Checkbox
            size="small"
            checked={pinned}
            indeterminate={!pinned && selected.some((cell) => cell.pinned)}
            onChange={() => quiet(deed("pin", { on: !pinned }))}
          />
        }
        label={t("Pinned: not changed by a rebuild")}
      />
      <Typography sx={{ fontSize: 12.5, color: "text.secondary", mt: 1 }}>
        {t(
          "Drag it on the map, or move it by the arrow keys: 1 mm on paper, 10 with Shift, 0.1 with Alt. Shift-click selects several.",
        )}
      </Typography>
      {one && (
        <Box sx={{ mt: 1 }}>
          <Field
            label={t("Split into sheets at 1 : n")}
            value=""
            placeholder={written(first.scale / 2)}
            onSave={async (text) => {
              await deed("split", { scale: demanded(text, readScale, t("Enter a scale, such as 1000.")) });
              onGone();
            }}
          />
        </Box>
      )}
      <Box sx={{ display: "flex", gap: 0.5, mt: 1.5, flexWrap: "wrap" }}>
        {one && (
          <Button component={Link} to={`/books/${book.id}/proof?sheet=${first.number}`} variant="outlined">
            {t("See the sheet as it will print")}
          </Button>
        )}
        <Button
          color="error"
          onClick={() => {
            quiet(deed("remove"));
            onGone();
          }}
        >
          {t("Remove")}
        </Button>
      </Box>
      {/* What comes from the server stands below what is clicked, which so stays where it is. */}
      {one && (
        <>
          <Shown sheet={first.number} />
          <Row name={t("Frame")}>{paperSize(book.frame.width_mm, book.frame.height_mm)}</Row>
          <TrueScale sheet={first.number} />
          {first.kept && <Row name={t("Status")}>{t("not rebuilt since the frame or the data changed")}</Row>}
          {gaps.length > 0 && (
            <Row name={t("Neighbours")}>
              <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
                {gaps.map((gap) => (
                  <li key={gap}>{gap}</li>
                ))}
              </Box>
            </Row>
          )}
          <LeftOutOfSheet sheet={first.number} />
        </>
      )}
    </Card>
  );
}
