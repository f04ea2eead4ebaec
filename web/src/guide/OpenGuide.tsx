import GuideIcon from "@mui/icons-material/MenuBookOutlined";
import { IconButton, Tooltip } from "@mui/material";
import { useGuide } from "./useGuide";
import { t } from "../texts/t";

/** Opens and closes the guide at its contents, in the dark bar on top. */
export function OpenGuide() {
  const { open, show } = useGuide();
  return (
    <Tooltip title={t("Guide")}>
      <IconButton
        aria-label={t("Guide")}
        aria-pressed={open !== null}
        onClick={() => show(open === null ? "contents" : null)}
        sx={{ color: "ink.onBar" }}
      >
        <GuideIcon fontSize="small" />
      </IconButton>
    </Tooltip>
  );
}
