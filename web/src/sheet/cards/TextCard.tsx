import { Heading } from "../../frame/Card";
import { PanelFields } from "../PanelFields";
import { TextFields } from "../TextFields";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";
import { t } from "../../texts/t";

/** A text, its type, and the panel behind it. */
export const TextCard: KindCard<ElementOf<"text">> = ({ element, onSave }) => (
  <>
    <Heading text={t("Text")} />
    <TextFields element={element} onSave={onSave} />
    <Heading text={t("Panel")} />
    <PanelFields element={element} onSave={onSave} />
  </>
);
