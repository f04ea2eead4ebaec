import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import type { FrameOutline, GriddedElement } from "../../api/types";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Choice } from "../../fields/Choice";
import { Colour } from "../../fields/Colour";
import { ColourBeside } from "../../fields/ColourBeside";
import { Flag } from "../../fields/Flag";
import { Measured } from "../../fields/Measured";
import { filled } from "../../fields/filled";
import { defaults } from "../../generated/defaults";
import { isGridded } from "../kinds";
import { useLayout } from "../layout";
import { titleOf } from "../useElements";
import type { KeepFrame } from "./FrameFields";
import { limits } from "../../generated/limits";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";

/** The ground of other frames of the page, as it lies in this one. */
export function OutlineFields({ element, onSave }: { element: GriddedElement; onSave: KeepFrame }) {
  const { layout } = useLayout();
  const others = layout.elements.filter((known) => isGridded(known) && known.id !== element.id);
  const main = others.find((known) => known.kind === "map_frame" || known.kind === "index_frame");
  const outlines = element.outlines ?? [];
  const keep = (fresh: FrameOutline[]) =>
    onSave({ outlines: fresh.length ? fresh : undefined }, "Outlines of other frames");
  const put = (index: number, patch: Partial<FrameOutline>) =>
    keep(outlines.map((known, place) => (place === index ? { ...known, ...patch } : known)));
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {outlines.map((outline, index) => {
        const shown = filled(outline, defaults.frame_outline);
        const stroke = filled(outline.stroke, defaults.frame_outline_stroke);
        const other = others.find((known) => known.id === (outline.frame ?? main?.id));
        return (
          <Box
            key={index}
            role="group"
            aria-label={t("Outline of %{value}", { value: other ? titleOf(other) : t("(removed frame)") })}
            sx={{ display: "grid", gap: 1, pl: 1, borderLeft: 2, borderColor: "thread.main" }}
          >
            <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
              <Box sx={{ flex: 1, display: "grid" }}>
                <Choice
                  label={t("Outline of")}
                  value={other?.id ?? ""}
                  choices={[
                    ...(other ? [] : [["", t("(removed frame)")] as const]),
                    ...others.map((known) => [known.id, titleOf(known)] as const),
                  ]}
                  onChoose={(frame) => put(index, { frame: frame === main?.id ? undefined : frame })}
                />
              </Box>
              <IconButton
                size="small"
                aria-label={t("Remove the outline of %{value}", {
                  value: other ? titleOf(other) : t("(removed frame)"),
                })}
                onClick={() => void keep(outlines.filter((_, place) => place !== index)).catch(toldElsewhere)}
              >
                <RemoveIcon sx={{ fontSize: 16 }} />
              </IconButton>
            </Box>
            <ColourBeside
              colour={
                <Colour
                  label={t("Colour of the outline")}
                  value={stroke.colour}
                  onSave={(colour) => put(index, { stroke: { ...outline.stroke, colour } })}
                />
              }
            >
              <Choice
                label={t("Shown as")}
                value={shown.look}
                choices={choices.frame_outline.look}
                onChoose={(look) => put(index, { look })}
              />
              <Measured
                label={t("Line, mm")}
                value={stroke.width_mm}
                limits={limits.stroke.width_mm}
                onSave={(width_mm) => put(index, { stroke: { ...outline.stroke, width_mm } })}
              />
            </ColourBeside>
            <Flag
              label={t("Leaders to that frame")}
              value={shown.leaders}
              onSave={(leaders) => put(index, { leaders: leaders || undefined })}
            />
          </Box>
        );
      })}
      {others.length > 0 ? (
        <Button
          sx={{ justifySelf: "start" }}
          onClick={() =>
            void keep([...outlines, main || !others[0] ? {} : { frame: others[0].id }]).catch(toldElsewhere)
          }
        >
          {t("Add an outline")}
        </Button>
      ) : (
        <Box sx={{ fontSize: 13, color: "text.secondary" }}>{t("This page has no other frame.")}</Box>
      )}
    </Box>
  );
}
