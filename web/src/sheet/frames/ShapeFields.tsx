import type { GriddedElement } from "../../api/types";
import { Choice } from "../../fields/Choice";
import { Field } from "../../fields/Field";
import { Measured } from "../../fields/Measured";
import { filled } from "../../fields/filled";
import { readNumber } from "../../numbers/read";
import { defaults } from "../../generated/defaults";
import { limits } from "../../generated/limits";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";

type Shape = NonNullable<GriddedElement["shape"]>;

// A diamond, to begin with.
const POLYGON: NonNullable<Shape["points"]> = [
  [0.5, 0],
  [1, 0.5],
  [0.5, 1],
  [0, 0.5],
];

// "50 0; 100 50; …" in per cent of the frame's width and height.
const written = (points: number[][]) =>
  points.map((point) => point.map((share) => +(share * 100).toFixed(2)).join(" ")).join("; ");

function read(text: string): number[][] | null {
  const points = text
    .split(";")
    .map((part) => part.trim())
    .filter((part) => part !== "")
    .map((part) => part.split(/\s+/).map(readNumber));
  const known = points.every(
    (point) => point.length === 2 && point.every((share) => share !== null && share >= 0 && share <= 100),
  );
  return known && points.length >= 3 ? points.map((point) => point.map((share) => share! / 100)) : null;
}

/** The outline of a frame. */
export function ShapeFields({
  shape,
  onSave,
}: {
  shape: Shape | undefined;
  onSave: (shape: Shape | undefined) => Promise<unknown>;
}) {
  const shown = filled(shape, defaults.inset_element_shape);
  return (
    <>
      <Choice
        label={t("Shape")}
        value={shown.kind}
        choices={choices.map_frame_element_shape.kind}
        onChoose={(kind) =>
          onSave(kind === "rectangle" ? undefined : kind === "polygon" ? { kind, points: POLYGON } : { kind })
        }
      />
      {shown.kind === "rounded" && (
        <Measured
          label={t("Corners, mm")}
          value={shown.corner_mm}
          limits={limits.map_frame_element_shape.corner_mm}
          onSave={(corner_mm) => onSave({ ...shape, corner_mm })}
        />
      )}
      {shown.kind === "polygon" && (
        <Field
          label={t("Corners, % across and down")}
          value={written(shape?.points ?? POLYGON)}
          onSave={async (text) => {
            const points = read(text);
            if (!points) throw new Error(t("Enter three corners or more, such as 50 0; 100 100; 0 100."));
            await onSave({ kind: "polygon", points: points as Shape["points"] });
          }}
        />
      )}
    </>
  );
}
