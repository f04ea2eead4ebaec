// The book document, as the core declares it, and what the server adds to it.
import type {
  BookDocument,
  Element,
  Enclosure,
  Grid,
  Index,
  Layout,
  MapFrameElement,
  MapSymbol,
  Order,
  OwnMarker,
} from "../generated/book";

import type { layerKindTraits } from "../generated/kinds";
import type { Operation } from "./operations";

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
  ScaleBarStyle,
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
export type GridLook = NonNullable<Grid["look"]>;
export type Naming = NonNullable<Index["naming"]>;

// An element of one kind.
export type ElementOf<Kind extends Element["kind"]> = Extract<Element, { kind: Kind }>;
// Elements that carry coordinate grids and a border.
export type GriddedElement = MapFrameElement | InsetKind;
// Those that say for themselves which ground they show.
export type InsetKind = ElementOf<"inset"> | ElementOf<"index_frame"> | ElementOf<"locator">;

// West, south, east and north in ground units.
export type Extent = [number, number, number, number];

// Left, top, width and height on the page, in mm.
export type Rectangle = [number, number, number, number];

export type Edge = "top" | "right" | "bottom" | "left";

// What a grid comes to on a sheet: in words, and its interval as it would be typed.
export interface GridWords {
  id: string;
  sentence: string;
  warnings: string[];
  angles?: boolean;
  interval?: { x: string; y: string };
  lettered?: boolean;
  pitch_mm?: [number, number];
  // The interval that suits the scale, where the fixed one is too close.
  wider?: { x: string; y: string };
}
export interface Grids {
  grids: GridWords[];
  room: Record<Edge, number>;
  beyond: Record<Edge, number>;
  presets: { key: string; title: string; note: string }[];
}
// A drawing for point markers.
export type Drawing = OwnMarker;
// A typeface or a picture that the book carries.
export type Enclosed = Enclosure;

export interface Cell {
  // Stays with the cell wherever it stands in the order.
  id: number;
  number: number;
  name: string;
  row: number;
  column: number;
  scale: number;
  corners: [number, number][];
  centre: [number, number];
  width: number;
  height: number;
  // It stayed where it was when the frame or the data changed.
  kept: boolean;
  // A rebuild leaves it alone; it was placed by hand.
  pinned: boolean;
  moved: boolean;
  // Clockwise.
  rotation_deg: number;
}

// What the cells were generated with and may change later.
export type Cause = "frame" | "study";

// A page with the boxes of its elements; width_mm, height_mm: of the frame that decides what it shows.
export interface Frame {
  width_mm: number;
  height_mm: number;
  page_width_mm: number;
  page_height_mm: number;
  even_shift_mm: number;
  live: Rectangle;
  elements: Record<string, Rectangle>;
}

// A page of the book that is no sheet. number: zero for the index sheet, below for the others; page: id of a free one;
// after: behind how many sheets it stands; folio: the number that it prints; sheets: of an index sheet, how many it shows.
export interface BookPage {
  number: number;
  kind: "index" | "page" | "blank";
  name: string;
  page: string | null;
  position: number;
  folio: number | null;
  after: number;
  sheets: number;
}

// What the features of a layer are.
export type LayerKind = keyof typeof layerKindTraits;

// What is known of a layer's pixels.
export interface PixelsInfo {
  kind: "picture" | "classes" | "values";
  width: number;
  height: number;
  bands: number;
  type: string;
  unit: string | null;
  crs_name: string;
  // Width and height of one on the ground.
  pixel_m: [number, number];
  lowest: (number | null)[];
  highest: (number | null)[];
  // Values of each band below which 2 and 98 per cent of the pixels lie.
  ends: ([number, number] | null)[];
  classes: { value: number; title?: string; colour?: string }[];
}

export interface LayerInfo {
  id: string;
  kind: LayerKind | "pixels";
  count: number;
  name: string | null;
  box: [number, number, number, number] | null;
  original_reference: string;
  swatches: string[];
  // Of a layer of pixels: null where they did not come along.
  pixels?: PixelsInfo | null;
}

export interface Book {
  id: number;
  revision: number;
  document: BookDocument;
  reference: { code: string | null; definition: string; name: string; metres_per_unit: number; unit: string };
  distortion: { words: string; warnings: string[] } | null;
  // Width and height in metres on the ground: of all that the layers hold, and of the sheet in the middle of the list.
  ground_m: [number, number] | null;
  sheet_m: [number, number] | null;
  layers: LayerInfo[];
  cells: Cell[];
  frame: Frame;
  index_frame: Frame | null;
  // Pages that are no sheets, in their order.
  pages: BookPage[];
  // Id of a free page → its boxes.
  page_frames: Record<string, Frame>;
  // What changed since the cells were generated.
  index_state: { changed: Cause[]; frame_then: [number, number] | null; kept: number };
  // The kind of names that sheets have, and an example of the pattern.
  naming: { kind: NonNullable<Naming["kind"]>; example: string[] };
  // What this browser's undo and redo would be about.
  undo: string | null;
  redo: string | null;
  // The last step of its history.
  position: number;
  // Looked back at: behind which step it was like this. Such a book is not changed.
  at?: number;
  faces: { key: string; family: string; weight: number; italic: boolean; css: string; content?: string }[];
  reprojection: { name: string; done: number; total: number } | null;
  told: string | null;
}

// What a change made another: operations on the document, cells that went and that came, other members as they are.
export interface BookChange extends Partial<Omit<Book, "document" | "cells">> {
  id: number;
  revision: number;
  since: number;
  operations: Operation[];
  // Where no layer came or went, those of which something is another.
  touched?: Book["layers"];
  cells: { gone: number[]; come: Cell[] } | null;
}

export interface Answer {
  cells: Cell[];
  count: number;
  rows: number;
  columns: number;
  sheet_width_m: number;
  sheet_height_m: number;
  sheet_spread: number;
  left_out_m2: number;
  left_out: string[];
  notes?: string[];
  scales: number[];
  come?: string[];
  go?: string[];
  stay?: number;
  pieces?: { m2: number; box: Extent; rings: [number, number][][] }[];
  overlap_m2?: number;
  overlap_share?: number;
  almost_empty?: number[];
}
// Work on an index that a job of the server does.
export interface IndexRun {
  id: number;
  purpose: string;
  state: "waiting" | "running" | "done" | "failed" | "cancelled";
  done: number;
  total: number;
  reason: string | null;
  answer?: unknown;
}
export interface ScaleCount {
  scale: number;
  count: number | null;
  // Where they were not counted.
  more_than?: number;
  fewer_than?: number;
}

export interface ArrivedLayer {
  name: string;
  title: string;
  count: number;
  geometry: string;
  attributes: { name: string; type: string }[];
  box: [number, number, number, number] | null;
  reference: string | null;
  reference_name: string | null;
  asks_reference: boolean;
  asks_columns: boolean;
  columns: { x?: string; y?: string; wkt?: string } | null;
  pixels?: ArrivedPixels;
}

// What is in a file of pixels before any of it is kept.
export interface ArrivedPixels {
  format: string;
  width: number;
  height: number;
  bands: number;
  type: string;
  // Of one, in units of its reference, and in metres.
  pixel: [number, number] | null;
  pixel_m: [number, number] | null;
  located: boolean;
  control_points: number;
  nodata: number | string | null;
  masked: boolean;
  guess: PixelsInfo["kind"];
  statistics: ({ lowest: number; highest: number; mean: number; deviation: number } | null)[];
  about: boolean;
  unit: string | null;
  classes: { value: number; title?: string; colour?: string }[];
  values: number | null;
  files?: number;
  small: string | null;
}

export interface Arrival {
  id: number;
  name: string;
  bytes: number;
  state: "inspecting" | "ready" | "importing" | "done" | "failed" | "cancelled";
  report: ArrivedLayer[];
  done: number;
  total: number;
  reason: string | null;
  remarks: string[];
  replaces: string | null;
}

export interface RunFile {
  id: number;
  name: string;
  bytes: number;
  sha256: string | null;
}

export interface Run {
  id: number;
  title: string | null;
  order: Order;
  sheets: string;
  state: "waiting" | "running" | "done" | "incomplete" | "failed" | "cancelled";
  // Its place among those that wait, from 1.
  place?: number;
  total: number;
  done: number;
  reason: string | null;
  bytes: number;
  created_at: string;
  finished_at: string | null;
  expires_at: string | null;
  revision: number;
  // Behind which step of the book's history it was ordered.
  position: number;
  later_revision: number | null;
  own: boolean;
  asked_from: string | null;
  printing: string | null;
  printable: boolean;
  told: { message: string; sheets: string[] }[];
  files: RunFile[];
  file_count: number;
  ready: boolean;
}

// What an order comes to before it is made.
export interface Plan {
  sheets: number;
  files: number;
  names: string[];
  pixels: [number, number] | null;
  bytes: number;
  seconds: number;
  told: string[];
}

// A JSON merge patch (RFC 7396) on part of the document.
export type Patch<T> = {
  [K in keyof T]?: T[K] extends unknown[]
    ? T[K]
    : T[K] extends object | undefined
      ? Patch<NonNullable<T[K]>> | null
      : T[K] | null;
};
