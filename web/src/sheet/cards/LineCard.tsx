import { Heading } from "../../frame/Card";
import { LineFields } from "../LineFields";
import { PanelFields } from "../PanelFields";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";
import { t } from "../../texts/t";

/** How a line runs and ends, and how it is drawn. */
export const LineCard: KindCard<ElementOf<"line">> = ({ element, onSave }) => (
  <>
    <Heading text={t("Line")} />
    <LineFields element={element} onSave={onSave} />
    <Heading text={t("Appearance")} />
    <PanelFields element={element} onSave={onSave} />
  </>
);
