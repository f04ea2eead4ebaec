import { Box } from "@mui/material";
import { Colour } from "../../fields/Colour";
import { Measured } from "../../fields/Measured";
import { Heading } from "../../frame/Card";
import { whole } from "../kinds";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";
import { limits } from "../../generated/limits";
import { t } from "../../texts/t";

/** The colour and the size of type of the adjoining sheets and of the declination diagram. */
export const DiagramCard: KindCard<ElementOf<"adjoining" | "north_diagram">> = ({ element, onSave }) => (
  <>
    <Heading text={t("Appearance")} />
    <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
      <Colour
        label={t("Colour of the diagram")}
        value={whole(element).colour}
        onSave={(colour) => onSave({ colour })}
      />
      <Measured
        label={t("Size, pt")}
        value={whole(element).size_pt}
        limits={limits.adjoining_element.size_pt}
        onSave={(size_pt) => onSave({ size_pt })}
      />
    </Box>
  </>
);
