import { Box, Checkbox, FormControlLabel } from "@mui/material";
import type { Border, GriddedElement } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { borders } from "../generated/kinds";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { Measured } from "../fields/Measured";
import { ColourBeside } from "../fields/ColourBeside";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { limits } from "../generated/limits";
import { NumberOf } from "../fields/NumberOf";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** What bounds the map; its steps follow a grid of the frame, or are even. */
export function BorderFields({
  frame,
  onSave,
}: {
  frame: GriddedElement;
  onSave: (border: Border) => Promise<unknown>;
}) {
  const border = frame.border ?? {};
  const shown = filled(border, defaults.border);
  const kind = shown.kind;
  const keep = (patch: Partial<Border>) => onSave({ ...border, ...patch });
  const grids = frame.grids ?? [];
  const steps = border.steps?.mm ? "even" : (border.steps?.grid ?? grids[0]?.id ?? "even");
  return (
    <ColourBeside
      colour={<Colour label={t("Colour of the border")} value={shown.colour} onSave={(colour) => keep({ colour })} />}
    >
      <Choice label={t("Border")} value={kind} choices={borders} onChoose={(chosen) => keep({ kind: chosen })} />
      <NumberOf label={t("Line, mm")} part="border" of="width_mm" given={shown} onSave={keep} />
      <NumberOf label={t("Margin, mm")} part="border" of="gap_mm" given={shown} onSave={keep} />
      {shown.gap_mm > 0 && (
        <Measured
          label={t("Inner line, mm")}
          value={filled(border.inner, defaults.border_inner).width_mm}
          limits={limits.border_inner.width_mm}
          onSave={(width_mm) => keep({ inner: { ...border.inner, width_mm } })}
        />
      )}
      {kind !== "plain" && (
        <Measured
          label={t("Thickness, mm")}
          value={border.thickness_mm ?? (kind === "ticked" ? 1.5 : 2)}
          limits={limits.border.thickness_mm}
          onSave={(thickness_mm) => keep({ thickness_mm })}
        />
      )}
      {kind !== "plain" && (
        <Choice
          wide
          label={t("Steps of")}
          value={steps}
          choices={[...grids.map((grid) => [grid.id, grid.title ?? grid.id] as const), ["even", t("even length")]]}
          onChoose={(chosen) => keep({ steps: chosen === "even" ? { mm: 20 } : { grid: chosen } })}
        />
      )}
      {kind !== "plain" && steps === "even" && (
        <Measured
          label={t("Approximate step, mm")}
          value={border.steps?.mm ?? 20}
          limits={limits.border_steps.mm}
          onSave={(mm) => keep({ steps: { mm } })}
        />
      )}
      {kind === "banded" && (
        <Choice
          label={t("Rows")}
          value={border.rows === 2 ? "2" : "1"}
          choices={[
            ["1", t("one")],
            ["2", t("two")],
          ]}
          onChoose={(rows) => keep({ rows: Number(rows) })}
        />
      )}
      {kind === "banded" && (
        <Box
          sx={{ gridColumn: "1 / -1", display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1, fontSize: 13 }}
        >
          {rich(t("dark <1/>light <2/><3/>"), {
            1: <Colour label={t("Dark steps")} value={border.dark ?? shown.colour} onSave={(dark) => keep({ dark })} />,
            2: <Colour label={t("Light steps")} value={shown.light} onSave={(light) => keep({ light })} />,
            3: (
              <FormControlLabel
                sx={{ m: 0 }}
                control={
                  <Checkbox
                    size="small"
                    checked={shown.corner_blocks}
                    onChange={(event) =>
                      void keep({ corner_blocks: event.target.checked || undefined }).catch(toldElsewhere)
                    }
                  />
                }
                label={t("Corner blocks")}
              />
            ),
          })}
        </Box>
      )}
    </ColourBeside>
  );
}
