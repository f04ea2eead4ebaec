import CloseIcon from "@mui/icons-material/CloseOutlined";
import { Box, Button, Checkbox, IconButton } from "@mui/material";
import type { RasterLook } from "../api/types";
import { readNumber } from "../numbers/read";
import { Colour } from "../fields/Colour";
import { Field } from "../fields/Field";
import { SETS, colours } from "../fields/palettes";
import { without } from "../fields/without";
import type { LookFieldsProps } from "./LookFieldsProps";
import { t } from "../texts/t";

type Look = Extract<RasterLook, { kind: "classes" }>;
type Class = Look["classes"][number];

// "12", "10 to 20", "below 10", "20 and more"
function valuesOf(entry: Class): string {
  if (entry.value !== undefined) return String(entry.value);
  if (entry.from === undefined) return t("below %{entry}", { entry: entry.to });
  return entry.to === undefined
    ? t("%{from} and more", { from: entry.from })
    : t("%{from} to %{entry}", { from: entry.from, entry: entry.to });
}

function readValues(text: string, entry: Class): Class {
  const rest = without(entry, "value", "from", "to");
  const numbers = (text.match(/-?[\d.,]+/g) ?? []).map(readNumber).filter((number) => number !== null);
  if (/^\s*(below|<)/i.test(text) && numbers.length === 1) return { ...rest, to: numbers[0] };
  if (/(more|\+)\s*$/i.test(text) && numbers.length === 1) return { ...rest, from: numbers[0] };
  if (numbers.length === 2) return { ...rest, from: numbers[0], to: numbers[1] };
  if (numbers.length === 1 && Number.isInteger(numbers[0])) return { ...rest, value: numbers[0] };
  throw new Error(t("Enter a whole number, or a range: 10 to 20, below 10, 20 and more."));
}

/** A colour and a title for each class of values. */
export function ClassesFields({ look, pixels, onSave }: LookFieldsProps<"classes">) {
  const put = (label: string, classes: Class[]) => onSave(label, { ...look, classes });
  const change = (index: number, fresh: Class, label = "Class") =>
    put(
      label,
      look.classes.map((known, place) => (place === index ? fresh : known)),
    );
  const next = () => {
    const taken = new Set(look.classes.map((entry) => entry.value));
    const free = pixels.classes.find((entry) => !taken.has(entry.value))?.value ?? look.classes.length + 1;
    return put("New class", [...look.classes, { value: free, title: "", colour: colours(SETS[0]!, 1)[0]! }]);
  };
  return (
    <Box>
      {look.classes.map((entry, index) => (
        <Box
          key={index}
          sx={{
            display: "flex",
            gap: 0.25,
            alignItems: "center",
            mb: 0.5,
            "& input:not([type=color])": { fontSize: 13.5 },
          }}
        >
          <Checkbox
            size="small"
            sx={{ p: 0.25 }}
            checked={!entry.hidden}
            onChange={(event) => {
              void change(index, event.target.checked ? without(entry, "hidden") : { ...entry, hidden: true });
            }}
            slotProps={{ input: { "aria-label": t("Show %{value}", { value: entry.title || valuesOf(entry) }) } }}
          />
          <Colour
            label={t("Colour of %{value}", { value: entry.title || valuesOf(entry) })}
            value={entry.colour}
            onSave={(colour) => change(index, { ...entry, colour })}
          />
          <Box sx={{ width: entry.value === undefined ? 76 : 36, flexShrink: 0, ml: 0.5 }}>
            <Field
              label={t("Value")}
              value={valuesOf(entry)}
              onSave={async (text) => change(index, readValues(text, entry))}
            />
          </Box>
          <Field label={t("Title")} value={entry.title ?? ""} onSave={(title) => change(index, { ...entry, title })} />
          <IconButton
            size="small"
            sx={{ p: 0.25 }}
            aria-label={t("Remove the class %{value}", { value: entry.title || valuesOf(entry) })}
            disabled={look.classes.length === 1}
            onClick={() =>
              void put(
                "Remove a class",
                look.classes.filter((_, place) => place !== index),
              )
            }
          >
            <CloseIcon fontSize="small" />
          </IconButton>
        </Box>
      ))}
      <Button variant="outlined" onClick={() => void next()} disabled={look.classes.length >= 256}>
        {t("Add a class")}
      </Button>
    </Box>
  );
}
