import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { Field } from "../fields/Field";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { without } from "../fields/without";
import { defaults } from "../generated/defaults";
import { Box } from "@mui/material";
import { Pair } from "../fields/Pair";
import { limits } from "../generated/limits";
import type { LookFieldsProps } from "./LookFieldsProps";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** How a picture of the ground is shown: its bands, brightness, contrast, saturation, gamma. */
export function PictureFields({ look, pixels, onSave }: LookFieldsProps<"picture">) {
  const shown = filled(look, defaults.picture_raster_look);
  const percent = (name: "brightness" | "contrast" | "saturation", label: string) => (
    <Measured
      label={`${label}, %`}
      value={shown[name]}
      limits={limits.picture_raster_look[name]}
      onSave={(value) => onSave(label, { ...look, [name]: value })}
    />
  );
  const bands = look.bands ?? (pixels.bands >= 3 ? [1, 2, 3] : [1]);
  const stretch = look.stretch ?? (pixels.type === "Byte" ? null : [2, 98]);
  return (
    <>
      <Pair>
        {percent("brightness", t("Brightness"))}
        {percent("contrast", t("Contrast"))}
        {pixels.bands >= 3 && percent("saturation", t("Saturation"))}
        <Measured
          label={t("Gamma")}
          value={shown.gamma}
          limits={limits.picture_raster_look.gamma}
          onSave={(gamma) => onSave("Gamma", { ...look, gamma })}
        />
        <Choice
          label={t("Resampling")}
          value={shown.resampling}
          choices={choices.picture_raster_look.resampling}
          onChoose={(resampling) => onSave("Resampling", { ...look, resampling })}
        />
        {pixels.bands > 1 && (
          <Field
            label={t("Bands shown")}
            value={bands.join(", ")}
            onSave={async (text) => {
              const list = text
                .split(/[\s,]+/)
                .filter(Boolean)
                .map(Number);
              const fits = list.every((band) => Number.isInteger(band) && band >= 1 && band <= pixels.bands);
              if (!fits || (list.length !== 1 && list.length !== 3))
                throw new Error(
                  t("Enter one band, or three as red, green and blue, from 1 to %{bands}.", { bands: pixels.bands }),
                );
              await onSave("Bands", { ...look, bands: list });
            }}
          />
        )}
        <Field
          label={t("Contrast stretch, %")}
          value={stretch ? stretch.join(" to ") : "as it is"}
          onSave={async (text) => {
            const list = text.match(/[\d.]+/g)?.map(Number) ?? [];
            if (list.length === 0) return onSave("Stretch", without(look, "stretch"));
            if (list.length !== 2 || list[0]! >= list[1]! || list[1]! > 100)
              throw new Error(t("Enter two percentages, such as 2 to 98, or nothing."));
            return onSave("Stretch", { ...look, stretch: [list[0]!, list[1]!] });
          }}
        />
      </Pair>
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, mt: 0.5 }}>
        <Flag
          label={t("Make one colour transparent")}
          value={look.clear_colour !== undefined}
          onSave={(on) =>
            onSave("Clear colour", on ? { ...look, clear_colour: "#000000" } : without(look, "clear_colour"))
          }
        />
        {look.clear_colour !== undefined && (
          <Colour
            label={t("Clear colour")}
            value={look.clear_colour}
            onSave={(clear_colour) => onSave("Clear colour", { ...look, clear_colour })}
          />
        )}
      </Box>
    </>
  );
}
