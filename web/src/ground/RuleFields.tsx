import { Box, Checkbox, FormControlLabel, MenuItem, TextField } from "@mui/material";
import type { Attribute } from "../api/useAttributes";
import { classBreaks } from "../generated/kinds";
import { RAMPS, SETS, colours } from "../fields/palettes";
import { t } from "../texts/t";

// By what rules are to be made, and in which colours.
export interface Making {
  attribute: string;
  way: string;
  count: number;
  palette: string;
  reversed: boolean;
}

interface RuleFieldsProps {
  how: "values" | "classes";
  // Attributes to choose from, and the one that is chosen.
  from: Attribute[];
  attribute: string;
  making: Making;
  onMaking: (making: Making) => void;
}

/** How symbols are made of an attribute: one for each value, or classes with their breaks and palette. */
export function RuleFields({ how, from, attribute, making, onMaking }: RuleFieldsProps) {
  const { way, count, palette, reversed } = making;
  const palettes = how === "values" ? SETS : RAMPS;
  return (
    <>
      <TextField
        select
        label={t("Attribute")}
        value={attribute}
        onChange={(event) => onMaking({ ...making, attribute: event.target.value })}
        sx={{ gridColumn: how === "values" ? "1 / -1" : undefined }}
      >
        {from.map((known) => (
          <MenuItem key={known.name} value={known.name}>
            {known.name}
          </MenuItem>
        ))}
      </TextField>
      {how === "classes" && (
        <>
          <TextField
            label={t("Classes")}
            type="number"
            value={count}
            onChange={(event) => onMaking({ ...making, count: Number(event.target.value) })}
            slotProps={{ htmlInput: { min: 1, max: 12 } }}
          />
          <TextField
            select
            label={t("Class breaks")}
            value={way}
            onChange={(event) => onMaking({ ...making, way: event.target.value })}
            sx={{ gridColumn: "1 / -1" }}
          >
            {classBreaks.map(([value, title]) => (
              <MenuItem key={value} value={value}>
                {title}
              </MenuItem>
            ))}
          </TextField>
        </>
      )}
      <TextField
        select
        label={t("Colours")}
        value={palettes.includes(palette) ? palette : how === "values" ? "Dark2" : "YlGnBu"}
        onChange={(event) => onMaking({ ...making, palette: event.target.value })}
        sx={{ gridColumn: "1 / -1" }}
      >
        {palettes.map((name) => (
          <MenuItem key={name} value={name}>
            <Ramp name={name} count={how === "values" ? 6 : count} reversed={reversed} />
          </MenuItem>
        ))}
      </TextField>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={reversed}
            onChange={(event) => onMaking({ ...making, reversed: event.target.checked })}
          />
        }
        label={t("Reversed")}
      />
    </>
  );
}

function Ramp({ name, count, reversed }: { name: string; count: number; reversed: boolean }) {
  const list = colours(name, Math.min(Math.max(count || 3, 2), 12), reversed);
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Box aria-hidden sx={{ display: "flex" }}>
        {list.map((colour, index) => (
          <Box key={index} sx={{ width: 108 / list.length, height: 16, bgcolor: colour }} />
        ))}
      </Box>
      <span>{name}</span>
    </Box>
  );
}
