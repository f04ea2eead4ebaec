import type { Element, ElementOf } from "../../api/types";
import { LegendFields } from "../legend/LegendFields";
import type { ElementKind } from "../kinds";
import { NorthArrowFields } from "../NorthArrowFields";
import { ScaleBarFields } from "../ScaleBarFields";
import { TableFields } from "../TableFields";
import { DiagramCard } from "./DiagramCard";
import { GridNoteCard } from "./GridNoteCard";
import type { KindCard } from "./KindCard";
import { LineCard } from "./LineCard";
import { MapFrameCard } from "./MapFrameCard";
import { PictureCard } from "./PictureCard";
import { ShapeCard } from "./ShapeCard";
import { TextCard } from "./TextCard";

// What the card of an element has of its kind, as the core registers kinds of elements: a kind that is added there has
// no entry here until its card is written, which the compiler tells.
interface Entry<Kind extends ElementKind> {
  // Its settings; frames beside the map frame have none but those that all frames have.
  Fields: KindCard<ElementOf<Kind>> | null;
  // Its place on the page stands below its settings.
  placeBelow?: boolean;
  // The sheet may leave some of it out, which is said below.
  leavesOut?: boolean;
}

const cards: { [Kind in ElementKind]: Entry<Kind> } = {
  adjoining: { Fields: DiagramCard },
  box: { Fields: ShapeCard },
  ellipse: { Fields: ShapeCard },
  grid_note: { Fields: GridNoteCard },
  index_frame: { Fields: null, leavesOut: true },
  inset: { Fields: null, leavesOut: true },
  legend: { Fields: LegendFields, placeBelow: true, leavesOut: true },
  line: { Fields: LineCard },
  locator: { Fields: null, leavesOut: true },
  map_frame: { Fields: MapFrameCard, leavesOut: true },
  neatline: { Fields: ShapeCard },
  north_arrow: { Fields: NorthArrowFields },
  north_diagram: { Fields: DiagramCard },
  picture: { Fields: PictureCard },
  scale_bar: { Fields: ScaleBarFields },
  table: { Fields: TableFields, leavesOut: true },
  text: { Fields: TextCard },
};

/** The entry of an element's kind, which fits the element. */
export const cardOf = (element: Element) => cards[element.kind] as unknown as Entry<ElementKind>;
