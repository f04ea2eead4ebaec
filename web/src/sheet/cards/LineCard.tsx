import { Heading } from "../../frame/Card";
import { LineFields } from "../LineFields";
import { PanelFields } from "../PanelFields";
import type { ElementOf } from "../../api/types";
import type { KindCard } from "./KindCard";

/** How a line runs and ends, and how it is drawn. */
export const LineCard: KindCard<ElementOf<"line">> = ({ element, onSave }) => (
  <>
    <Heading text="Line" />
    <LineFields element={element} onSave={onSave} />
    <Heading text="Look" />
    <PanelFields element={element} onSave={onSave} />
  </>
);
