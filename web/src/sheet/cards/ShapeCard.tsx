import { Heading } from "../../frame/Card";
import { PanelFields } from "../PanelFields";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";
import { t } from "../../texts/t";

/** How a box, an ellipse or the neatline is drawn. */
export const ShapeCard: KindCard<ElementOf<"box" | "ellipse" | "neatline">> = ({ element, onSave }) => (
  <>
    <Heading text={t("Appearance")} />
    <PanelFields element={element} onSave={onSave} />
  </>
);
