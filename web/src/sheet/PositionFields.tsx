import { Box, MenuItem, TextField, ToggleButton, ToggleButtonGroup } from "@mui/material";
import { useState } from "react";
import type { Rectangle } from "../api/types";
import { Field } from "../fields/Field";
import { readLength, shown, type PaperUnit } from "../numbers/lengths";
import { t } from "../texts/t";

const UNITS: PaperUnit[] = ["mm", "in", "pt"];
const NINE = [0, 1, 2].flatMap((row) =>
  [0, 1, 2].map((column) => ({ row, column, value: `${column / 2},${row / 2}` })),
);
const NAMES = [
  [t("upper left"), t("upper middle"), t("upper right")],
  [t("left middle"), "centre", t("right middle")],
  [t("lower left"), t("lower middle"), t("lower right")],
];

/** Exact place and size, from any of nine points of the box, in mm, inches or points; small sums are reckoned. */
export function PositionFields({ box, onSave }: { box: Rectangle; onSave: (box: Rectangle) => Promise<unknown> }) {
  const [unit, setUnit] = useState<PaperUnit>("mm");
  const [point, setPoint] = useState("0,0");
  const [u, v] = point.split(",").map(Number) as [number, number];
  const [left, top, width, height] = box;
  const read = (text: string) => {
    const length = readLength(text, unit);
    if (length === null) throw new Error(t("Enter a length or a sum, such as 12.5 or 297/2."));
    return length;
  };
  const size = (text: string) => {
    const length = read(text);
    if (length < 0) throw new Error(t("A side cannot be negative."));
    return length;
  };
  // A size grows about the point.
  const grown = (w: number, h: number): Rectangle => [left + (width - w) * u, top + (height - h) * v, w, h];
  return (
    <Box
      role="group"
      aria-label={t("Place and size")}
      sx={{ display: "grid", gridTemplateColumns: "auto minmax(0, 1fr) minmax(0, 1fr)", gap: 1, alignItems: "end" }}
    >
      <ToggleButtonGroup
        exclusive
        value={point}
        onChange={(_, value: string | null) => value && setPoint(value)}
        aria-label={t("Reference point")}
        sx={{ gridRow: "1 / 3", display: "grid", gridTemplateColumns: "repeat(3, 24px)", alignSelf: "center" }}
      >
        {NINE.map(({ row, column, value }) => (
          <ToggleButton
            key={value}
            value={value}
            aria-label={NAMES[row]![column]!}
            sx={{
              p: 0,
              width: 24,
              height: 24,
              minWidth: 0,
              border: "1px solid",
              borderColor: "divider",
              borderRadius: 0,
            }}
          >
            <Box sx={{ width: 7, height: 7, bgcolor: point === value ? "primary.main" : "text.secondary" }} />
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Field
        label={t("From left, %{unit}", { unit })}
        value={shown(left + width * u, unit)}
        onSave={(text) => onSave([read(text) - width * u, top, width, height])}
      />
      <Field
        label={t("From top, %{unit}", { unit })}
        value={shown(top + height * v, unit)}
        onSave={(text) => onSave([left, read(text) - height * v, width, height])}
      />
      <Field
        label={t("Width, %{unit}", { unit })}
        value={shown(width, unit)}
        onSave={(text) => onSave(grown(size(text), height))}
      />
      <Field
        label={t("Height, %{unit}", { unit })}
        value={shown(height, unit)}
        onSave={(text) => onSave(grown(width, size(text)))}
      />
      <TextField select label={t("Unit")} value={unit} onChange={(event) => setUnit(event.target.value as PaperUnit)}>
        {UNITS.map((known) => (
          <MenuItem key={known} value={known}>
            {known}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}
