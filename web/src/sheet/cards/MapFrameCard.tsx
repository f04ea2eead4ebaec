import { Checkbox, FormControlLabel } from "@mui/material";
import { toldElsewhere } from "../../api/toldElsewhere";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";
import { t } from "../../texts/t";

/** Whether the map frame says where its neighbours take over. (Its ground, grids and border stand above.) */
export const MapFrameCard: KindCard<ElementOf<"map_frame">> = ({ element, onSave }) => (
  <FormControlLabel
    sx={{ mt: 1 }}
    control={
      <Checkbox
        size="small"
        checked={!!element.match_lines}
        onChange={(event) => void onSave({ match_lines: event.target.checked ? {} : undefined }).catch(toldElsewhere)}
      />
    }
    label={t("Match lines with the neighbours’ names")}
  />
);
