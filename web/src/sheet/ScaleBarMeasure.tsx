import { Box } from "@mui/material";
import type { ScaleBarElement } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { Measured } from "../fields/Measured";
import { FrameChoice } from "./FrameChoice";
import { whole } from "./kinds";
import { GRID, type Keep } from "./scaleBar";

// Where a scale bar is true, and how far off it may be elsewhere.
export function MeasureFields({ element, onKeep }: { element: ScaleBarElement; onKeep: Keep }) {
  const shown = whole(element);
  const chosen = element.true_at;
  return (
    <Box sx={GRID}>
      <FrameChoice value={element.frame} onChoose={(frame) => onKeep({ frame })} />
      <Choice
        label="Scale"
        wide
        value={shown.measured}
        choices={[
          ["level", "on the ellipsoid"],
          ["grid", "on the projection"],
        ]}
        onChoose={(measured) => onKeep({ measured })}
      />
      <Measured
        label="Error limit, %"
        value={shown.error_limit_percent}
        least={0.001}
        most={100}
        onKeep={(error_limit_percent) => onKeep({ error_limit_percent })}
      />
      <Choice
        label="If exceeded"
        value={shown.if_exceeded}
        choices={[
          ["warn", "warn"],
          ["by_latitude", "a bar by latitude"],
        ]}
        onChoose={(if_exceeded) => onKeep({ if_exceeded })}
      />
      <Choice
        label="One length for"
        value={shown.fitted}
        choices={[
          ["book", "all sheets"],
          ["sheet", "each sheet"],
        ]}
        onChoose={(fitted) => onKeep({ fitted: fitted === "book" ? undefined : fitted })}
      />
      <Field
        label="True at, mm"
        value={chosen ? `${chosen.x_mm}; ${chosen.y_mm}` : ""}
        placeholder="the middle"
        onKeep={(text) => {
          const parts = text.split(";").map((part) => Number(part.trim().replace(",", ".")));
          if (text.trim() !== "" && (parts.length !== 2 || parts.some((part) => !Number.isFinite(part))))
            throw new Error("Write a place on the page, such as 120; 85.");
          return onKeep({ true_at: text.trim() === "" ? undefined : { x_mm: parts[0]!, y_mm: parts[1]! } });
        }}
      />
      <Field
        label="Minimum length, mm"
        value={element.minimum_mm === undefined ? "" : String(element.minimum_mm)}
        placeholder="5"
        onKeep={(text) => {
          const least = Number(text.trim().replace(",", "."));
          if (text.trim() !== "" && !(least >= 0)) throw new Error("Write millimetres, such as 40.");
          return onKeep({ minimum_mm: text.trim() === "" ? undefined : least });
        }}
      />
    </Box>
  );
}
