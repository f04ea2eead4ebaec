import { Box, Checkbox, FormControlLabel } from "@mui/material";
import type { LabelRule } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { filled } from "../fields/filled";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { Fold } from "../frame/Fold";
import { defaults } from "../generated/defaults";
import { choices } from "../generated/choices";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

type Places = NonNullable<LabelRule["points"]>;
type Position = NonNullable<Places["positions"]>[number];

// As they lie round the symbol.
const GRID = choices.label_point_places.positions;

/** Where the labels of points may stand. The number of a position is its place in the order of preference. */
export function PointPlaceFields({
  places,
  onSave,
}: {
  places: Places | undefined;
  onSave: (places: Places) => Promise<unknown>;
}) {
  const shown = filled(places, defaults.label_point_places);
  const positions = shown.positions as Position[];
  const toggle = (position: Position) => {
    const fresh = positions.includes(position)
      ? positions.filter((known) => known !== position)
      : [...positions, position];
    return fresh.length === 0 ? Promise.resolve() : onSave({ ...places, positions: fresh });
  };
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      <Pair>
        <Measured
          label={t("Symbol gap, mm")}
          value={shown.gap_mm}
          limits={limits.label_point_places.gap_mm}
          onSave={(gap_mm) => onSave({ ...places, gap_mm })}
        />
        {shown.leader ? (
          <Measured
            label={t("Longest leader, mm")}
            value={shown.leader_mm}
            limits={limits.label_point_places.leader_mm}
            onSave={(leader_mm) => onSave({ ...places, leader_mm })}
          />
        ) : (
          <span />
        )}
      </Pair>
      <Flag
        label={t("Move away with a leader line if necessary")}
        value={shown.leader}
        onSave={(leader) => onSave({ ...places, leader })}
      />
      <Fold title={t("Positions")}>
        <Box
          role="group"
          aria-label={t("Positions around the symbol, the best first")}
          sx={{ display: "grid", gridTemplateColumns: "repeat(3, minmax(0, 1fr))" }}
        >
          {GRID.map(([position, title]) => {
            const place = positions.indexOf(position);
            return (
              <FormControlLabel
                key={position}
                sx={{ m: 0, alignItems: "flex-start", "& .MuiFormControlLabel-label": { fontSize: 12.5, pt: 0.5 } }}
                control={
                  <Checkbox
                    size="small"
                    sx={{ p: 0.25 }}
                    checked={place >= 0}
                    onChange={() => void toggle(position).catch(toldElsewhere)}
                  />
                }
                label={place >= 0 ? `${place + 1} ${title}` : title}
              />
            );
          })}
        </Box>
        <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.5 }}>
          {t("The numbers are the order of preference; one that is switched on again comes last.")}
        </Box>
      </Fold>
    </Box>
  );
}
