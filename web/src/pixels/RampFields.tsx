import { Box, MenuItem, TextField } from "@mui/material";
import { readNumber } from "../numbers/read";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { Field } from "../fields/Field";
import { Flag } from "../fields/Flag";
import { filled } from "../fields/filled";
import { without } from "../fields/without";
import { RAMPS, colours } from "../fields/palettes";
import { defaults } from "../generated/defaults";
import { Pair } from "../fields/Pair";
import { ReliefFields } from "./ReliefFields";
import { plain } from "./words";
import type { LookFieldsProps } from "./LookFieldsProps";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

const STOPS = 6;

const bar = (tints: string[]) => `linear-gradient(to right, ${tints.join(", ")})`;

/** Colours that run with a value, and between which values. */
export function RampFields({ look, pixels, onSave }: LookFieldsProps<"ramp">) {
  const shown = filled(look, defaults.ramp_raster_look);
  const own = RAMPS.find((name) => colours(name, shown.tints.length).join() === shown.tints.join()) ?? "";
  const ends: [number, number] =
    shown.between === "percentages"
      ? [look.from ?? 2, look.to ?? 98]
      : [look.from ?? pixels.lowest[0] ?? 0, look.to ?? pixels.highest[0] ?? 1];
  const end = (name: "from" | "to", label: string, value: number) => (
    <Field
      label={label}
      value={String(Math.round(value * 1000) / 1000)}
      onSave={async (text) => {
        const number = readNumber(text);
        if (number === null) throw new Error(t("Enter a number."));
        await onSave("Range of the ramp", { ...look, [name]: number });
      }}
    />
  );
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <TextField
        select
        label={t("Colours")}
        value={own}
        onChange={(event) => void onSave("Colours of the ramp", { ...look, tints: colours(event.target.value, STOPS) })}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">{t("own colours")}</MenuItem>
        {RAMPS.map((name) => (
          <MenuItem key={name} value={name}>
            <Box sx={{ width: 90, height: 12, mr: 1, background: bar(colours(name, STOPS)) }} />
            {name}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap" }}>
        {shown.tints.map((tint, index) => (
          <Colour
            key={index}
            label={t("Colour %{value} of the ramp", { value: index + 1 })}
            value={tint}
            onSave={(colour) =>
              onSave("Colours of the ramp", {
                ...look,
                tints: shown.tints.map((known, place) => (place === index ? colour : known)),
              })
            }
          />
        ))}
      </Box>
      <Pair>
        <Choice
          label={t("Range")}
          wide
          value={shown.between}
          choices={choices.ramp_raster_look.between.map(([between, title]) => [
            between,
            between === "lowest and highest"
              ? t("%{title}, %{value} to %{value2}", {
                  title,
                  value: plain(pixels.lowest[0] ?? 0),
                  value2: plain(pixels.highest[0] ?? 0),
                })
              : title,
          ])}
          onChoose={(between) => onSave("Range of the ramp", { ...without(look, "from", "to"), between })}
        />
        {shown.between !== "lowest and highest" && (
          <>
            {end("from", shown.between === "percentages" ? t("From, %") : "From", ends[0])}
            {end("to", shown.between === "percentages" ? "To, %" : "To", ends[1])}
          </>
        )}
        <Field
          label={t("Unit in the legend")}
          value={look.unit ?? pixels.unit ?? ""}
          onSave={(unit) => onSave("Unit of the ramp", { ...look, unit: unit.trim() })}
        />
      </Pair>
      <Box>
        <Flag
          label={t("Reversed")}
          value={shown.reversed}
          onSave={(reversed) => onSave("Direction of the ramp", { ...look, reversed })}
        />
        <Flag
          label={t("In steps of one colour each")}
          value={shown.stepped}
          onSave={(stepped) => onSave("Steps of the ramp", { ...look, stepped })}
        />
        <Flag
          label={t("With shading")}
          value={look.relief !== undefined}
          onSave={(on) => onSave("Shading", on ? { ...look, relief: {} } : without(look, "relief"))}
        />
      </Box>
      {look.relief && <ReliefFields relief={look.relief} onSave={(relief) => onSave("Shading", { ...look, relief })} />}
    </Box>
  );
}
