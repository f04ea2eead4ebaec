import HelpIcon from "@mui/icons-material/HelpOutlineOutlined";
import { IconButton, Tooltip } from "@mui/material";
import type { Place } from "./places";
import { useGuide } from "./useGuide";
import { t } from "../texts/t";

/** Opens the guide where a card is explained. */
export function GuideButton({ place }: { place: Place }) {
  const { explain } = useGuide();
  return (
    <Tooltip title={t("Explained in the guide")}>
      <IconButton
        aria-label={t("Explained in the guide")}
        size="small"
        onClick={() => explain(place)}
        sx={{ ml: "auto", alignSelf: "center", flexShrink: 0 }}
      >
        <HelpIcon fontSize="small" />
      </IconButton>
    </Tooltip>
  );
}
