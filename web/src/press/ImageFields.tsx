import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { Pair } from "../fields/Pair";
import type { FormOf } from "./order";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** What images show and how they are written. */
export function ImageFields({
  form,
  change,
}: {
  form: FormOf<"images">;
  change: (patch: Partial<FormOf<"images">>) => Promise<unknown>;
}) {
  const image = filled(form, defaults.images_form);
  const geotiff = image.format === "geotiff";
  return (
    <Pair>
      <Choice
        label={t("Format")}
        value={image.format}
        choices={choices.images_form.format}
        onChoose={(format) =>
          change({
            format,
            ...(format === "jpeg" && { clear: undefined }),
            ...(format !== "png" && image.depth === "256 colours" && { depth: undefined }),
          })
        }
      />
      <Choice
        label={t("Colour depth")}
        value={image.depth}
        choices={choices.images_form.depth.filter(([depth]) => depth !== "256 colours" || image.format === "png")}
        onChoose={(depth) => change({ depth })}
      />
      <Choice
        label={t("Shows")}
        wide
        value={image.shows}
        choices={choices.images_form.shows}
        onChoose={(shows) => change({ shows })}
      />
      {(image.format === "jpeg" || image.format === "webp") && (
        <Measured
          label={t("Quality")}
          value={image.quality}
          limits={limits.images_form.quality}
          onSave={(quality) => change({ quality: Math.round(quality) })}
        />
      )}
      {image.format !== "jpeg" && (
        <Flag label={t("Clear background")} value={image.clear} onSave={(clear) => change({ clear })} />
      )}
      {!geotiff && (
        <Flag
          label={t("World file and .aux.xml beside each")}
          value={image.placed}
          onSave={(placed) => change({ placed })}
        />
      )}
      {geotiff && (
        <Flag
          label={t("Rotated sheets resampled north up")}
          value={image.north_up}
          onSave={(north_up) => change({ north_up })}
        />
      )}
    </Pair>
  );
}
