import { Box, Checkbox, FormControlLabel } from "@mui/material";
import type { Naming } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** How names by column and row are put together. */
export function PlaceNameFields({ naming, onSet }: { naming: Naming; onSet: (patch: Partial<Naming>) => void }) {
  const shown = filled(naming, defaults.index_naming);
  return (
    <>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
        <Choice
          label={t("Columns")}
          value={shown.columns}
          choices={choices.index_naming.columns}
          onChoose={async (columns) => onSet({ columns })}
        />
        <Choice
          label={t("Rows")}
          value={shown.rows}
          choices={choices.index_naming.rows}
          onChoose={async (rows) => onSet({ rows })}
        />
        <Choice
          label={t("First")}
          value={shown.first}
          choices={choices.index_naming.first}
          onChoose={async (first) => onSet({ first })}
        />
        <Choice
          label={t("Rows from")}
          value={shown.rows_from}
          choices={choices.index_naming.rows_from}
          onChoose={async (rows_from) => onSet({ rows_from })}
        />
        <Field
          label={t("Separator")}
          value={shown.separator}
          placeholder={t("nothing")}
          onSave={async (separator) => onSet({ separator: separator.slice(0, 5) })}
        />
        <Measured
          label={t("Digits at least")}
          value={shown.digits}
          limits={limits.index_naming.digits}
          onSave={async (digits) => onSet({ digits: Math.round(digits) })}
        />
      </Box>
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={shown.without_io}
            onChange={(event) => onSet({ without_io: event.target.checked })}
          />
        }
        label={t("Leave out the letters I and O")}
      />
    </>
  );
}
