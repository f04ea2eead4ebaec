import { Button, ButtonGroup } from "@mui/material";
import type { Rectangle } from "../api/types";
import { RULER } from "./Ruler";
import { PX_PER_MM, type Zoom } from "./useZoom";
import { t } from "../texts/t";

/** selected: undefined where nothing can be. */
export function ZoomButtons({ zoom, selected }: { zoom: Zoom; selected: Rectangle | null | undefined }) {
  const percent = Math.round((zoom.perMm / PX_PER_MM) * 100);
  return (
    <ButtonGroup
      size="small"
      variant="outlined"
      sx={{
        position: "absolute",
        right: 0,
        top: 0,
        height: RULER,
        zIndex: 2,
        bgcolor: "background.paper",
        "& .MuiButton-root": { py: 0, fontSize: 12.5 },
      }}
      aria-label={t("Zoom")}
    >
      <Button onClick={() => zoom.step(1 / 1.25)} aria-label={t("Smaller")}>
        −
      </Button>
      <Button onClick={zoom.toActualSize} aria-label={t("%{percent} %: show at actual size", { percent })}>
        {percent} %
      </Button>
      <Button onClick={() => zoom.step(1.25)} aria-label={t("Larger")}>
        +
      </Button>
      <Button onClick={zoom.toPage} aria-pressed={zoom.fitted}>
        {t("Page")}
      </Button>
      <Button onClick={zoom.toWidth}>{t("Width")}</Button>
      {selected !== undefined && (
        <Button onClick={zoom.closeUp} disabled={!selected}>
          {t("Selection")}
        </Button>
      )}
    </ButtonGroup>
  );
}
