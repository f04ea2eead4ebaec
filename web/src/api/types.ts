// The book document (docs/book.schema.json) and what the server adds to it.

export interface Stroke {
  colour?: string;
  width_mm?: number;
  dash_mm?: number[];
  cap?: string;
  join?: string;
  opacity?: number;
}
export interface Marker {
  shape: string;
  size_mm: number;
  colour: string;
  outline?: Stroke;
}
export interface Pattern {
  kind: string;
  colour?: string;
  spacing_mm?: number;
  width_mm?: number;
  angle_deg?: number;
  opacity?: number;
}
export interface MapSymbol {
  strokes?: Stroke[];
  fill?: { colour: string; opacity?: number };
  pattern?: Pattern;
  marker?: Marker;
}
export interface Rule {
  title: string;
  when?: unknown;
  symbol: MapSymbol;
}
export interface Layer {
  id: string;
  title: string;
  visible: boolean;
  edition?: number;
  group?: string;
  locked?: boolean;
  opacity?: number;
  match?: "first" | "all";
  shown?: { from?: number; to?: number };
  design_scale?: number;
  rules: Rule[];
  label?: unknown;
}

// West, south, east and north in ground units.
export type Extent = [number, number, number, number];

// Left, top, width and height on the page, in mm.
export type Rectangle = [number, number, number, number];

export type Edge = "top" | "right" | "bottom" | "left";
export interface Page {
  size: string;
  width_mm?: number;
  height_mm?: number;
  orientation?: "portrait" | "landscape";
  margins_mm: Record<Edge, number>;
  binding?: { edge: "left" | "top" | "right"; gutter_mm: number; mirrored?: boolean };
  bleed_mm?: number;
  trim_marks?: boolean;
}
export interface Element {
  kind: string;
  id: string;
  place: Record<string, number>;
  title?: string;
  rotation_deg?: number;
  hidden?: boolean;
  locked?: boolean;
  group?: string;
  text?: string;
  face?: string;
  size_pt?: number;
  least_pt?: number;
  colour?: string;
  align?: string;
  anchor?: string;
  tracking_pt?: number;
  line_height?: number;
  padding_mm?: number;
  corner_mm?: number;
  fill?: { colour: string; opacity?: number };
  stroke?: Stroke;
  border?: Border;
  slope?: string;
  drawing?: string;
  picture?: string;
  match_lines?: { size_pt?: number };
  fit?: string;
  grids?: Grid[];
  grid?: string;
  north?: string;
  // A north arrow.
  form?: string;
  letter?: string;
  at?: string | { x_mm: number; y_mm: number };
  // A scale bar.
  style?: string;
  ticks?: string;
  units?: string;
  second_units?: string;
  pace_m?: number;
  walk_kmh?: number;
  divisions?: number;
  per_division?: string;
  left?: number;
  least_mm?: number;
  most_mm?: number;
  height_mm?: number;
  tick_mm?: number;
  gap_mm?: number;
  bars_gap_mm?: number;
  labelled?: string;
  labels_at?: string;
  label_gap_mm?: number;
  decimals?: number;
  thousands?: string;
  unit_at?: string;
  unit_text?: string;
  ratio?: string;
  verbal?: string;
  verbal_units?: string;
  light?: string;
  stroke_mm?: number;
  halo?: Halo;
  backing?: { colour: string; opacity?: number };
  frame?: string;
  measured?: string;
  error_limit_percent?: number;
  over_limit?: string;
  fitted?: string;
}
export interface Halo {
  colour?: string;
  width_mm?: number;
}
export type GridLook = "lines" | "crosses" | "ticks" | "dots" | "squares";
export interface GridLabels {
  sides: Edge[];
  place?: "outside" | "inside";
  turn?: "edge" | "upright" | "line";
  families?: "own" | "both";
  form?: "full" | "short";
  notation?: "d" | "dm" | "dms" | "decimal";
  decimals?: number;
  hemisphere?: "letters" | "signs";
  zeros?: boolean;
  thousands?: "thin" | "comma" | "point" | "none";
  unit?: boolean;
  corners?: boolean;
  distance_mm?: number;
  gap_mm?: number;
  face?: string;
  size_pt?: number;
  colour?: string;
  halo?: Halo;
}
// A coordinate grid of a frame; an interval is written with its unit, such as 100 m or 30 sec.
export interface Grid {
  id: string;
  title?: string;
  reference: string;
  hidden?: boolean;
  drawn_on?: "all" | "upright" | "turned";
  under?: boolean;
  wished_mm?: number;
  fitted?: "sheet" | "book";
  interval?: { x?: string; y?: string };
  origin?: { x?: string; y?: string };
  look?: GridLook;
  stroke: Stroke;
  major?: { every: number; stroke?: Stroke };
  halo?: Halo;
  arm_mm?: number;
  tick_mm?: number;
  ticks?: "inside" | "outside" | "across";
  size_mm?: number;
  squares?: { size_pt?: number; colour?: string };
  labels?: GridLabels;
}
export interface Border extends Stroke {
  kind?: "plain" | "ticked" | "double" | "banded";
  gap_mm?: number;
  thickness_mm?: number;
  inner?: Stroke;
  steps?: { grid?: string; mm?: number };
  rows?: number;
  dark?: string;
  light?: string;
  corner_blocks?: boolean;
}
// What a grid comes to on a sheet: in words, and its interval as it would be typed.
export interface GridWords {
  id: string;
  sentence: string;
  warnings: string[];
  angles?: boolean;
  interval?: { x: string; y: string };
  lettered?: boolean;
  pitch_mm?: [number, number];
}
export interface Grids {
  grids: GridWords[];
  room: Record<Edge, number>;
  beyond: Record<Edge, number>;
  presets: { key: string; title: string; note: string }[];
}
// Lines to snap to, in mm from the page's left and upper edge.
export interface Guides {
  x?: number[];
  y?: number[];
}
export interface Layout {
  name: string;
  page: Page;
  elements: Element[];
  guides?: Guides;
}
// A typeface or a picture that the book carries.
export interface Enclosed {
  id: string;
  title: string;
  content: string;
}
// Part of the study area: a layer, the features of it that meet a condition or were picked, or a drawn shape.
export interface AreaPart {
  layer?: string;
  when?: unknown;
  features?: number[];
  polygon?: [number, number][];
}
export interface Naming {
  kind?: "places" | "numbers" | "attribute";
  columns?: string;
  rows?: string;
  first?: string;
  between?: string;
  rows_from?: string;
  digits?: number;
  prefix?: string;
  without_io?: boolean;
  attribute?: string;
}
export interface Index {
  kind: "grid" | "strip" | "features" | "layer";
  area: string | AreaPart[];
  room?: string;
  scale: number;
  held?: "projection" | "ground";
  overlap_mm?: number;
  overlap?: { x?: string; y?: string };
  keep?: "touching" | "all" | number;
  start?: { kind: "round" | "point"; multiple?: string; x?: number; y?: number };
  turn?: number | "best";
  fewest?: "moved" | "turned";
  lead_mm?: number;
  most_turn_deg?: number;
  upward?: "north" | "route";
  gap?: string;
  reverse?: boolean;
  rule?: { kind: "hold" | "fit" | "ladder" | "attribute"; margin?: string; ladder?: number[]; attribute?: string };
  centre?: "extent" | "inner";
  several?: boolean;
  scale_attribute?: string;
  turn_attribute?: string;
  naming?: Naming;
  order?: { kind: string; from?: string; start_deg?: number; attribute?: string };
  step?: { x?: string; y?: string };
}

// A drawing for point markers.
export interface Drawing {
  id: string;
  title: string;
  svg: string;
}

export interface BookDocument {
  title: string;
  subtitle: string;
  author: string;
  edition?: string;
  source: string;
  date: string;
  reference: string;
  layers: Layer[];
  markers?: Drawing[];
  faces?: Enclosed[];
  pictures?: Enclosed[];
  layout: Layout;
  key_layout?: Layout;
  index: Index;
}

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
  // A fresh weave leaves it alone; it was placed by hand.
  pinned: boolean;
  moved: boolean;
  // Counter-clockwise.
  turn_deg: number;
}

// What the cells were woven with and may change later.
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

export interface LayerInfo {
  id: string;
  kind: "point" | "line" | "area" | "mixed";
  count: number;
  name: string | null;
  box: [number, number, number, number] | null;
  original_reference: string;
  swatches: string[];
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
  key_frame: Frame | null;
  // What changed since the cells were woven.
  weave: { changed: Cause[]; frame_then: [number, number] | null; kept: number };
  // The kind of names that sheets have, and an example of the pattern.
  naming: { kind: NonNullable<Naming["kind"]>; example: string[] };
  undo: string | null;
  redo: string | null;
  // Are they this browser's own (or nobody's)?
  undo_own: boolean;
  redo_own: boolean;
  sizes: string[];
  faces: { key: string; family: string; weight: number; italic: boolean; css: string; content?: string }[];
  kinds: Record<string, string>;
  reprojection: { name: string; done: number; total: number } | null;
  told: string | null;
  data_endings: string[];
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
export interface Weaving {
  id: number;
  state: "waiting" | "running" | "done" | "failed" | "cancelled";
  done: number;
  total: number;
  reason: string | null;
  answer?: unknown;
}
export interface ScaleCount {
  scale: number;
  count: number | null;
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

export interface Run {
  id: number;
  sheets: string;
  state: "waiting" | "running" | "done" | "failed" | "cancelled";
  total: number;
  done: number;
  reason: string | null;
  bytes: number | null;
  created_at: string;
  finished_at: string | null;
  revision: number;
  ready: boolean;
}

// A JSON merge patch (RFC 7396) on part of the document.
export type Patch<T> = {
  [K in keyof T]?: T[K] extends unknown[]
    ? T[K]
    : T[K] extends object | undefined
      ? Patch<NonNullable<T[K]>> | null
      : T[K] | null;
};
