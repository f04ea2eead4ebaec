import LockIcon from "@mui/icons-material/LockOutlined";
import HiddenIcon from "@mui/icons-material/VisibilityOffOutlined";
import { Box, Button, IconButton } from "@mui/material";
import type { Frame } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { elementTitles } from "./kinds";
import { useLayout } from "./layout";
import { titleOf, type Elements } from "./useElements";
import { t } from "../texts/t";

/** The elements of a page, the topmost first. */
export function ElementList({ elements, onPick }: { elements: Elements; onPick: (ids: string[]) => void }) {
  const { layout, frame } = useLayout();
  return (
    <Box component="ul" aria-label={t("Elements, the topmost first")} sx={{ m: 0, p: 0, listStyle: "none" }}>
      {[...layout.elements].reverse().map((element) => (
        <Box
          component="li"
          key={element.id}
          sx={{ display: "flex", alignItems: "center", borderBottom: 1, borderColor: "divider" }}
        >
          <Button
            onClick={() => onPick([element.id])}
            sx={{
              flex: 1,
              minWidth: 0,
              justifyContent: "flex-start",
              color: "text.primary",
              fontWeight: 400,
              px: 0.5,
              py: 0.25,
            }}
          >
            {titleOf(element)}
            <Box component="span" sx={{ color: "text.secondary", fontSize: 12.5, ml: 1 }}>
              {onPage(frame, element.id) ? elementTitles[element.kind].toLowerCase() : t("off the page")}
              {element.shown_on && t(", on some sheets")}
            </Box>
          </Button>
          {element.locked && <LockIcon titleAccess={t("locked")} sx={{ fontSize: 15, color: "text.secondary" }} />}
          {element.hidden && (
            <IconButton
              size="small"
              aria-label={t("Show %{element}", { element: titleOf(element) })}
              onClick={() => void elements.patch(element.id, { hidden: undefined }, "Show").catch(toldElsewhere)}
            >
              <HiddenIcon sx={{ fontSize: 16 }} />
            </IconButton>
          )}
        </Box>
      ))}
    </Box>
  );
}

function onPage(frame: Frame, id: string): boolean {
  const [left, top, width, height] = frame.elements[id] as [number, number, number, number];
  return left < frame.page_width_mm && left + width > 0 && top < frame.page_height_mm && top + height > 0;
}
