import type { CellsShown, GriddedElement } from "../../api/types";
import { Choice } from "../../fields/Choice";
import { Colour } from "../../fields/Colour";
import { ColourBeside } from "../../fields/ColourBeside";
import { Flag } from "../../fields/Flag";
import { filled } from "../../fields/filled";
import { defaults } from "../../generated/defaults";
import { FaceChoice } from "../../fields/FaceChoice";
import { FillFields } from "../../fields/FillFields";
import { whole } from "../kinds";
import { useLayout } from "../layout";
import type { KeepFrame } from "./FrameFields";
import { NumberOf } from "../../fields/NumberOf";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

/** The cells of the index over the ground of a frame. */
export function CellsFields({ element, onSave }: { element: GriddedElement; onSave: KeepFrame }) {
  const { role } = useLayout();
  const always = element.kind === "index_frame" || element.kind === "locator";
  const cells = whole(element).cells as CellsShown | undefined;
  const keep = (patch: Partial<CellsShown>) => onSave({ cells: { ...cells, ...patch } }, "Cells");
  if (!cells) return <Flag label={t("Show the cells")} value={false} onSave={() => onSave({ cells: {} }, "Cells")} />;
  const shown = filled(cells, defaults.cells_shown);
  return (
    <div style={{ display: "grid", gap: 8 }}>
      {!always && <Flag label={t("Show the cells")} value onSave={() => onSave({ cells: undefined }, "Cells")} />}
      <ColourBeside
        colour={<Colour label={t("Colour of the cells")} value={shown.colour} onSave={(colour) => keep({ colour })} />}
      >
        <NumberOf label={t("Line, mm")} part="cells_shown" of="width_mm" given={shown} onSave={keep} />
        <Choice
          label={t("Labels")}
          value={shown.labels}
          choices={choices.cells_shown.labels}
          onChoose={(labels) => keep({ labels })}
        />
      </ColourBeside>
      {shown.labels !== "none" && (
        <>
          <ColourBeside
            colour={<Colour label={t("Halo of the labels")} value={shown.halo} onSave={(halo) => keep({ halo })} />}
          >
            <FaceChoice label={t("Typeface")} value={shown.face} onChoose={(face) => keep({ face })} />
            <NumberOf
              label={t("Size, pt")}
              part="cells_shown"
              of="size_pt"
              given={cells}
              placeholder={t("as fits")}
              onSave={keep}
            />
          </ColourBeside>
          <Choice
            label={t("Where both compete for space")}
            value={shown.first}
            choices={choices.cells_shown.first}
            onChoose={(first) => keep({ first })}
          />
        </>
      )}
      <Flag
        label={t("Filled")}
        value={!!cells.fill}
        onSave={(on) => keep({ fill: on ? { colour: shown.colour, opacity: 0.12 } : undefined })}
      />
      {cells.fill && <FillFields fill={cells.fill} onSave={(fill) => keep({ fill })} />}
      {role === "sheets" && (
        <>
          <Flag
            label={t("Highlight the sheet’s own cell")}
            value={shown.this_sheet}
            onSave={(this_sheet) => keep({ this_sheet })}
          />
          {shown.this_sheet && (
            <span style={{ display: "flex", gap: 8, alignItems: "center" }}>
              {rich(t("<1/>its colour"), {
                1: (
                  <Colour
                    label={t("Colour of the sheet’s own cell")}
                    value={shown.this_colour}
                    onSave={(this_colour) => keep({ this_colour })}
                  />
                ),
              })}
            </span>
          )}
        </>
      )}
    </div>
  );
}
