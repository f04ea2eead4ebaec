// The book document, as the core declares it, and what the server adds to it.
import type { Element, Grid, Index, Layout, MapFrameElement, MapSymbol, OwnMarker } from "../generated/book";

import type { Book as BookAnswered } from "../generated/answers";

export type {
  AreaPart,
  BookDocument,
  Border,
  Element,
  Fill,
  Gradient,
  Grid,
  Halo,
  Index,
  Layer,
  LegendBar,
  LegendRow,
  Layout,
  Light,
  MapLook,
  RasterLook,
  Relief,
  Form,
  Ink,
  MapSymbol,
  Order,
  PdfManner,
  CellsShown,
  FrameOutline,
  FreePage,
  Globe,
  Extent as FrameExtent,
  IndexPages,
  Rule,
  ShownOn,
  Veil,
  ScaleBarElement,
  Abbreviation,
  LabelByHand,
  Note,
  LabelRule,
  OwnField,
  Shadow,
  Stroke,
  TableColumn,
  TabStop,
} from "../generated/book";

export type Pattern = NonNullable<MapSymbol["pattern"]>;
export type Marker = NonNullable<MapSymbol["marker"]>;
export type Page = Layout["page"];
export type Guides = NonNullable<Layout["guides"]>;
export type GridLabels = NonNullable<Grid["labels"]>;
export type Naming = NonNullable<Index["naming"]>;

// An element of one kind.
export type ElementOf<Kind extends Element["kind"]> = Extract<Element, { kind: Kind }>;
// Elements that carry coordinate grids and a border.
export type GriddedElement = MapFrameElement | InsetKind;
// Those that say for themselves which ground they show.
export type InsetKind = ElementOf<"inset"> | ElementOf<"index_frame"> | ElementOf<"locator">;

export type Edge = "top" | "right" | "bottom" | "left";

// A drawing for point markers.
export type Drawing = OwnMarker;

export type {
  Arrival,
  ArrivedLayer,
  BookChange,
  BookPage,
  Cell,
  GridWords,
  Grids,
  GroundBox as Extent,
  IndexAnswer as Answer,
  IndexRun,
  LayerInfo,
  LayerKind,
  PageFrame as Frame,
  PaperBox as Rectangle,
  PixelsInfo,
  PressPlan as Plan,
  PressRun as Run,
  ScaleCount,
  TrialCell,
} from "../generated/answers";

// at: looked back at, behind which step of its history it was like this. Such a book is not changed.
export interface Book extends BookAnswered {
  at?: number;
}

// A JSON merge patch (RFC 7396) on part of the document.
export type Patch<T> = {
  [K in keyof T]?: T[K] extends unknown[]
    ? T[K]
    : T[K] extends object | undefined
      ? Patch<NonNullable<T[K]>> | null
      : T[K] | null;
};
