import { Box } from "@mui/material";
import { Choice } from "../../fields/Choice";
import { Heading } from "../../frame/Card";
import { isFrame } from "../kinds";
import { useLayout } from "../layout";
import { TypeFields } from "../TextFields";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";
import { t } from "../../texts/t";

/** Of which grid a note tells the spacing, and its type. */
export const GridNoteCard: KindCard<ElementOf<"grid_note">> = ({ element, onSave }) => {
  const { layout } = useLayout();
  const grids = layout.elements.find(isFrame)?.grids ?? [];
  return (
    <>
      <Heading text={t("Note")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        <Choice
          label={t("Grid")}
          value={element.grid ?? grids[0]?.id ?? ""}
          choices={grids.map((grid) => [grid.id, grid.title ?? grid.id] as const)}
          onChoose={(grid) => onSave({ grid })}
        />
        <TypeFields element={element} onSave={onSave} />
      </Box>
    </>
  );
};
