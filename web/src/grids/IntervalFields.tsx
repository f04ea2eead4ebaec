import { Box, Slider } from "@mui/material";
import type { Grid, GridWords } from "../api/types";
import { Choice } from "../fields/Choice";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { Tried } from "./Tried";
import { choices } from "../generated/choices";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** Target spacings in mm. */
export const NARROWEST = 5,
  WIDEST = 200;

interface IntervalFieldsProps {
  grid: Grid;
  // What is being tried.
  draft: Grid | null;
  words: GridWords | undefined;
  angles: boolean;
  onDraft: (draft: Grid | null) => void;
  onSave: (patch: Partial<Grid>) => Promise<unknown>;
  // A target spacing that moves by many small steps.
  onSettle: (target_mm: number) => void;
}

/** How far the lines of a grid are apart: by a target on paper, or fixed on the ground. */
export function IntervalFields({ grid, draft, words, angles, onDraft, onSave, onSettle }: IntervalFieldsProps) {
  const shown = filled(grid, defaults.grid);
  const fixed = !!grid.interval;
  return (
    <>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: fixed ? "minmax(0, 1fr) minmax(0, 1fr)" : "minmax(0, 2fr) minmax(0, 3fr)",
          gap: 1,
          alignItems: "end",
        }}
      >
        <Choice
          label={t("Interval")}
          value={fixed ? "fixed" : "auto"}
          choices={[
            ["auto", t("automatic")],
            ["fixed", t("fixed")],
          ]}
          onChoose={(kind) => onSave({ interval: kind === "fixed" ? words?.interval : undefined })}
        />
        {!fixed && (
          <Choice
            label={t("One interval for")}
            value={shown.fitted}
            choices={choices.grid.fitted}
            onChoose={(fitted) => onSave({ fitted })}
          />
        )}
        {fixed && <Box />}
        {fixed &&
          (["x", "y"] as const).map((axis) => (
            <Tried
              key={axis}
              label={axis === "x" ? (angles ? t("Longitude") : t("East")) : angles ? t("Latitude") : t("North")}
              value={grid.interval?.[axis] ?? ""}
              placeholder={t("automatic")}
              onTry={(text) =>
                onDraft(
                  text === null ? null : { ...grid, interval: { ...grid.interval, [axis]: text.trim() || undefined } },
                )
              }
              onSave={(text) => onSave({ interval: { ...grid.interval, [axis]: text.trim() || undefined } })}
            />
          ))}
        {fixed &&
          (["x", "y"] as const).map((axis) => (
            <Tried
              key={axis}
              label={t("Origin, %{value}", {
                value: axis === "x" ? (angles ? "longitude" : "easting") : angles ? "latitude" : "northing",
              })}
              value={grid.origin?.[axis] ?? ""}
              placeholder={angles ? "0 deg" : "0 m"}
              onTry={(text) =>
                onDraft(
                  text === null ? null : { ...grid, origin: { ...grid.origin, [axis]: text.trim() || undefined } },
                )
              }
              onSave={(text) => onSave({ origin: { ...grid.origin, [axis]: text.trim() || undefined } })}
            />
          ))}
      </Box>
      {!fixed && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, pl: 1, mt: 1 }}>
          <Slider
            aria-label={t("Target spacing, mm")}
            size="small"
            min={NARROWEST}
            max={WIDEST}
            value={draft?.target_mm ?? shown.target_mm}
            valueLabelDisplay="off"
            onChange={(_, value) => onDraft({ ...grid, target_mm: value })}
            onChangeCommitted={(_, value) => onSettle(value)}
          />
          <Box sx={{ fontSize: 13, whiteSpace: "nowrap", minWidth: 86 }}>
            {rich(t("about <1/> mm"), { 1: draft?.target_mm ?? shown.target_mm })}
          </Box>
        </Box>
      )}
    </>
  );
}
