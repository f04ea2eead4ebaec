// Made by bin/generate out of app/answers.json. Do not edit.
import type { BookDocument, Index, LabelByHand, LegendRow, Order } from "./book";
import type { layerKindTraits } from "./kinds";

/**
 * What the features of a layer are.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "layer_kind".
 */
export type LayerKind = keyof typeof layerKindTraits;
/**
 * Left, top, width and height on the page, in mm.
 *
 * @minItems 4
 * @maxItems 4
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "paper_box".
 */
export type PaperBox = [number, number, number, number];
/**
 * What the cells were generated with and may change later.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "cause".
 */
export type Cause = "frame" | "study";
/**
 * West, south, east and north in ground units.
 *
 * @minItems 4
 * @maxItems 4
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "ground_box".
 */
export type GroundBox = [number, number, number, number];
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "ring".
 */
export type Ring = [number, number][];
/**
 * @minItems 4
 * @maxItems 4
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "box4".
 */
export type Box4 = [number, number, number, number];
/**
 * From mm of a page to the ground: x' = a x + c y + e, y' = b x + d y + f.
 *
 * @minItems 6
 * @maxItems 6
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "to_ground".
 */
export type ToGround = [number, number, number, number, number, number];
/**
 * A book after a change: what is another for a browser that has it as it was before, else all of it; or the job that makes the change.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "changed_book".
 */
export type ChangedBook = Book | BookChange | RunBegun;

/**
 * What is known of a layer's pixels.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "pixels_info".
 */
export interface PixelsInfo {
  kind: "picture" | "classes" | "values";
  width: number;
  height: number;
  bands: number;
  type: string;
  unit: string | null;
  crs_name: string;
  /**
   * Width and height of one on the ground.
   *
   * @minItems 2
   * @maxItems 2
   */
  pixel_m: [number, number];
  lowest: (number | null)[];
  highest: (number | null)[];
  /**
   * Values of each band below which 2 and 98 per cent of the pixels lie.
   */
  ends: ([number, number] | null)[];
  classes: {
    value: number;
    title?: string;
    colour?: string;
  }[];
  nodata?: number | string | null;
  mean?: (number | null)[];
  deviation?: (number | null)[];
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "layer_info".
 */
export interface LayerInfo {
  id: string;
  kind: keyof typeof layerKindTraits | "pixels";
  count: number;
  name: string | null;
  /**
   * @minItems 4
   * @maxItems 4
   */
  box: [number, number, number, number] | null;
  original_reference: string;
  swatches: string[];
  /**
   * Of a layer of pixels: null where they did not come along.
   */
  pixels?: PixelsInfo | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "cell".
 */
export interface Cell {
  /**
   * Stays with the cell wherever it stands in the order.
   */
  id: number;
  number: number;
  name: string;
  row: number;
  column: number;
  scale: number;
  corners: [number, number][];
  /**
   * @minItems 2
   * @maxItems 2
   */
  centre: [number, number];
  width: number;
  height: number;
  /**
   * It stayed where it was when the frame or the data changed.
   */
  kept: boolean;
  /**
   * A rebuild leaves it alone; it was placed by hand.
   */
  pinned: boolean;
  moved: boolean;
  /**
   * Clockwise.
   */
  rotation_deg: number;
}
/**
 * A page with the boxes of its elements; width_mm, height_mm: of the frame that decides what it shows.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "page_frame".
 */
export interface PageFrame {
  width_mm: number;
  height_mm: number;
  page_width_mm: number;
  page_height_mm: number;
  even_shift_mm: number;
  live: PaperBox;
  elements: {
    [k: string]: PaperBox;
  };
}
/**
 * A page of the book that is no sheet. number: zero for the index sheet, below for the others; page: id of a free one; after: behind how many sheets it stands; folio: the number that it prints; sheets: of an index sheet, how many it shows.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "book_page".
 */
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
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "book".
 */
export interface Book {
  id: number;
  revision: number;
  document: BookDocument;
  reference: {
    code: string | null;
    definition: string;
    name: string;
    metres_per_unit: number;
    unit: string;
  };
  distortion: {
    words: string;
    warnings: string[];
  } | null;
  /**
   * Width and height in metres on the ground: of all that the layers hold, and of the sheet in the middle of the list.
   *
   * @minItems 2
   * @maxItems 2
   */
  ground_m: [number, number] | null;
  /**
   * @minItems 2
   * @maxItems 2
   */
  sheet_m: [number, number] | null;
  layers: LayerInfo[];
  cells: Cell[];
  frame: PageFrame;
  index_frame: PageFrame | null;
  /**
   * Pages that are no sheets, in their order.
   */
  pages: BookPage[];
  /**
   * Id of a free page → its boxes.
   */
  page_frames: {
    [k: string]: PageFrame;
  };
  /**
   * What changed since the cells were generated.
   */
  index_state: {
    changed: Cause[];
    /**
     * @minItems 2
     * @maxItems 2
     */
    frame_then: [number, number] | null;
    kept: number;
  };
  /**
   * The kind of names that sheets have, and an example of the pattern.
   */
  naming: {
    kind: NonNullable<NonNullable<Index["naming"]>["kind"]>;
    example: string[];
  };
  /**
   * What this browser's undo and redo would be about.
   */
  undo: string | null;
  redo: string | null;
  /**
   * The last step of its history.
   */
  position: number;
  faces: {
    key: string;
    family: string;
    weight: number;
    italic: boolean;
    css: string;
    content?: string;
  }[];
  reprojection: {
    name: string;
    done: number;
    total: number;
  } | null;
  notice: string | null;
  /**
   * Ids of what was made.
   */
  made?: string[];
  /**
   * What others had made a moment before of parts that the change made something else.
   */
  replaced?: string[];
}
/**
 * What a change made another: operations on the document, cells that went and that came, other members as they are.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "book_change".
 */
export interface BookChange {
  id: number;
  revision: number;
  reference?: {
    code: string | null;
    definition: string;
    name: string;
    metres_per_unit: number;
    unit: string;
  };
  distortion?: {
    words: string;
    warnings: string[];
  } | null;
  /**
   * Width and height in metres on the ground: of all that the layers hold, and of the sheet in the middle of the list.
   *
   * @minItems 2
   * @maxItems 2
   */
  ground_m?: [number, number] | null;
  /**
   * @minItems 2
   * @maxItems 2
   */
  sheet_m?: [number, number] | null;
  layers?: LayerInfo[];
  frame?: PageFrame;
  index_frame?: PageFrame | null;
  /**
   * Pages that are no sheets, in their order.
   */
  pages?: BookPage[];
  /**
   * Id of a free page → its boxes.
   */
  page_frames?: {
    [k: string]: PageFrame;
  };
  /**
   * What changed since the cells were generated.
   */
  index_state?: {
    changed: Cause[];
    /**
     * @minItems 2
     * @maxItems 2
     */
    frame_then: [number, number] | null;
    kept: number;
  };
  /**
   * The kind of names that sheets have, and an example of the pattern.
   */
  naming?: {
    kind: NonNullable<NonNullable<Index["naming"]>["kind"]>;
    example: string[];
  };
  /**
   * What this browser's undo and redo would be about.
   */
  undo?: string | null;
  redo?: string | null;
  /**
   * The last step of its history.
   */
  position?: number;
  faces?: {
    key: string;
    family: string;
    weight: number;
    italic: boolean;
    css: string;
    content?: string;
  }[];
  reprojection?: {
    name: string;
    done: number;
    total: number;
  } | null;
  notice?: string | null;
  /**
   * Ids of what was made.
   */
  made?: string[];
  /**
   * What others had made a moment before of parts that the change made something else.
   */
  replaced?: string[];
  since: number;
  operations: Operation[];
  touched?: LayerInfo[];
  cells: {
    gone: number[];
    come: Cell[];
  } | null;
}
/**
 * One operation on the document, in the manner of RFC 6902 with ids in place of positions. before: in front of which entry one comes that is added or moved; nothing: at the end.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "operation".
 */
export interface Operation {
  op: "add" | "remove" | "replace" | "move" | "test";
  path: string;
  value?: unknown;
  before?: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "index_answer".
 */
export interface IndexAnswer {
  cells: TrialCell[];
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
  pieces?: {
    m2: number;
    box: GroundBox;
    rings: [number, number][][];
  }[];
  overlap_m2?: number;
  overlap_share?: number;
  almost_empty?: number[];
}
/**
 * A cell as it would be; id: of the one that it was, null for a new one.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "trial_cell".
 */
export interface TrialCell {
  id: number | null;
  number: number;
  name: string;
  row: number;
  column: number;
  scale: number;
  corners: [number, number][];
  /**
   * @minItems 2
   * @maxItems 2
   */
  centre: [number, number];
  width: number;
  height: number;
  /**
   * It stayed where it was when the frame or the data changed.
   */
  kept: boolean;
  /**
   * A rebuild leaves it alone; it was placed by hand.
   */
  pinned: boolean;
  moved: boolean;
  /**
   * Clockwise.
   */
  rotation_deg: number;
}
/**
 * Work on an index that a job of the server does.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "index_run".
 */
export interface IndexRun {
  id: number;
  purpose: string;
  state: "waiting" | "running" | "done" | "failed" | "cancelled";
  done: number;
  total: number;
  reason: string | null;
  answer?: unknown;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "scale_count".
 */
export interface ScaleCount {
  scale: number;
  count: number | null;
  /**
   * Where they were not counted.
   */
  more_than?: number;
  fewer_than?: number;
}
/**
 * What is in a file of pixels before any of it is kept.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "arrived_pixels".
 */
export interface ArrivedPixels {
  format: string;
  width: number;
  height: number;
  bands: number;
  type: string;
  /**
   * Of one, in units of its reference, and in metres.
   *
   * @minItems 2
   * @maxItems 2
   */
  pixel: [number, number] | null;
  /**
   * @minItems 2
   * @maxItems 2
   */
  pixel_m: [number, number] | null;
  located: boolean;
  control_points: number;
  nodata: number | string | null;
  masked: boolean;
  guess: "picture" | "classes" | "values";
  statistics: ({
    lowest: number;
    highest: number;
    mean: number;
    deviation: number;
  } | null)[];
  about: boolean;
  unit: string | null;
  classes: {
    value: number;
    title?: string;
    colour?: string;
  }[];
  values: number | null;
  files?: number;
  small: string | null;
  /**
   * What came of its picture once it is kept.
   */
  picture?: {
    [k: string]: unknown;
  };
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "arrived_layer".
 */
export interface ArrivedLayer {
  name: string;
  title: string;
  count: number;
  geometry: string;
  attributes: {
    name: string;
    type: string;
  }[];
  /**
   * @minItems 4
   * @maxItems 4
   */
  box: [number, number, number, number] | null;
  reference: string | null;
  reference_name?: string | null;
  asks_reference: boolean;
  asks_columns: boolean;
  columns: {
    x?: string;
    y?: string;
    wkt?: string;
  } | null;
  pixels?: ArrivedPixels;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "arrival".
 */
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
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "press_file".
 */
export interface PressFile {
  id: number;
  name: string;
  bytes: number;
  sha256: string | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "press_run".
 */
export interface PressRun {
  id: number;
  title?: string | null;
  order: Order;
  sheets: string;
  state: "waiting" | "running" | "done" | "incomplete" | "failed" | "cancelled";
  /**
   * Its place among those that wait, from 1.
   */
  place?: number;
  total: number;
  done: number;
  reason?: string | null;
  bytes: number;
  created_at: string;
  finished_at?: string | null;
  expires_at?: string | null;
  revision: number;
  /**
   * Behind which step of the book's history it was ordered.
   */
  position: number;
  later_revision?: number | null;
  own: boolean;
  asked_from?: string | null;
  printing?: string | null;
  printable: boolean;
  notices: {
    message: string;
    sheets: string[];
  }[];
  files: PressFile[];
  file_count: number;
  ready: boolean;
}
/**
 * What an order comes to before it is made.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "press_plan".
 */
export interface PressPlan {
  sheets: number;
  files: number;
  names: string[];
  /**
   * @minItems 2
   * @maxItems 2
   */
  pixels: [number, number] | null;
  bytes: number;
  seconds: number;
  notices: string[];
}
/**
 * What a grid comes to on a sheet: in words, and its interval as it would be typed.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "grid_words".
 */
export interface GridWords {
  id: string;
  sentence: string;
  warnings: string[];
  angles?: boolean;
  interval?: {
    x: string;
    y: string;
  };
  lettered?: boolean;
  /**
   * @minItems 2
   * @maxItems 2
   */
  pitch_mm?: [number, number];
  /**
   * The interval that suits the scale, where the fixed one is too close.
   */
  wider?: {
    x: string;
    y: string;
  };
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "grids".
 */
export interface Grids {
  grids: GridWords[];
  room: {
    top: number;
    right: number;
    bottom: number;
    left: number;
  };
  beyond: {
    top: number;
    right: number;
    bottom: number;
    left: number;
  };
  presets: {
    key: string;
    title: string;
    note: string;
  }[];
}
/**
 * One step of the history of a book: a change, an undo, a redo, or several that were merged.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "history_step".
 */
export interface HistoryStep {
  position: number;
  label: string;
  at: string;
  began_at: string;
  /**
   * How many were merged into it.
   */
  steps: number;
  /**
   * Members of the document, "layers/ID", "cells", "cells/ID".
   */
  touched: string[];
  /**
   * done: it stands; undone; given_up: undone, and not to be redone; step: an undo, a redo or merged ones.
   */
  state: "done" | "undone" | "given_up" | "step";
  /**
   * The position of the change that it undoes or redoes.
   */
  about: number | null;
  /**
   * Nobody's: null.
   */
  own: boolean | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "named_version".
 */
export interface NamedVersion {
  id: number;
  position: number;
  name: string;
  at: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "history_page".
 */
export interface HistoryPage {
  steps: HistoryStep[];
  more: boolean;
  versions: NamedVersion[];
  runs: {
    id: number;
    position: number;
    title: string | null;
    at: string | null;
  }[];
}
/**
 * What differs between two states; numbers of pages: in the one and in the other, null where it is not there.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "differences".
 */
export interface Differences {
  differences: {
    part: string;
    what: "added" | "removed" | "moved" | "changed";
    before?: string;
    after?: string;
  }[];
  /**
   * So many more are not named.
   */
  more: number;
  cells: {
    added: string[];
    removed: string[];
    changed: string[];
    renamed: string[];
    reordered: boolean;
  };
  pages: {
    name: string;
    before: number | null;
    after: number | null;
  }[];
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "attribute".
 */
export interface Attribute {
  name: string;
  type: string;
  /**
   * What it is called where that is not its name.
   */
  title?: string;
  /**
   * Is it a function of the condition, and no field?
   */
  asked?: boolean;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "crs_suggestion".
 */
export interface CrsSuggestion {
  code: string;
  name: string;
  reason: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "crs_found".
 */
export interface CrsFound {
  code: string;
  name: string;
  area: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "grid_tried".
 */
export interface GridTried {
  sentence: string;
  warnings: string[];
  angles?: boolean;
  interval?: {
    x: string;
    y: string;
  };
  lettered?: boolean;
  /**
   * @minItems 2
   * @maxItems 2
   */
  pitch_mm?: [number, number];
  /**
   * The interval that suits the scale, where the fixed one is too close.
   */
  wider?: {
    x: string;
    y: string;
  };
  svg: string | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "place".
 */
export interface Place {
  code: string;
  name: string;
  reason: string;
  ring: Ring;
  distance_m: number | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "arrival_places".
 */
export interface ArrivalPlaces {
  [k: string]: Place[];
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "table_row".
 */
export interface TableRow {
  id: number;
  box: Box4 | null;
  attributes: {
    [k: string]: string | number | boolean | null;
  };
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "parameter".
 */
export interface Parameter {
  name: string;
  value: number;
  unit: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "crs_look".
 */
export interface CrsLook {
  definition: string;
  code: string | null;
  name: string;
  datum: string;
  parameters: Parameter[];
  unit: string | null;
  unit_name: string;
  words: string[];
  warnings: string[];
  picture: string | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "saved_crs".
 */
export interface SavedCrs {
  id: number;
  name: string;
  definition: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "class_found".
 */
export interface ClassFound {
  title: string;
  count: number;
  when: unknown;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "tiles_offer".
 */
export interface TilesOffer {
  title: string;
  attribution: string | null;
  source: {
    [k: string]: unknown;
  };
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "datum_operation".
 */
export interface DatumOperation {
  name: string;
  accuracy_m: number | null;
  area: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "datum_shift".
 */
export interface DatumShift {
  name: string;
  accuracy_m: number | null;
  area: string;
  /**
   * @minItems 2
   * @maxItems 2
   */
  datums: [string, string];
  layers: string[];
  grids: string[];
  /**
   * What would bring the data more accurately.
   */
  better: DatumOperation | null;
  candidates: DatumOperation[];
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "written_file".
 */
export interface WrittenFile {
  path: string;
  /**
   * What did not go along.
   */
  notices?: string[];
}
/**
 * What the server says of cells in the hand and those beside them: how far they were moved and what lies between, in words; the shifts in ground units by which their edges meet, east and north; the step of round coordinates and the corner that comes to them.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "beside".
 */
export interface Beside {
  moved: string;
  gaps: string[];
  /**
   * @minItems 2
   * @maxItems 2
   */
  shifts: [number[], number[]];
  round: {
    step: number;
    /**
     * @minItems 2
     * @maxItems 2
     */
    corner: [number, number];
  };
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "sheet_facts".
 */
export interface SheetFacts {
  width_m: number;
  height_m: number;
  true_scale: number;
  point_scale: number;
  meridian_scale: number;
  areal_scale: number;
  convergence_deg: number;
  convergence: string;
  left_out: string[];
  labels: {
    placed: number;
    unplaced: number;
  };
  /**
   * The feature that the sheet is of: was it made for it, or does it show most of it?
   */
  feature: {
    name: string;
    own: boolean;
  } | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "designs".
 */
export interface Designs {
  shipped: {
    name: string;
    title: string;
    note: string;
  }[];
  kept: {
    id: number;
    name: string;
  }[];
}
/**
 * Times in UTC, as ISO 8601 has them; opened_at: null where nobody has opened it yet.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "book_listed".
 */
export interface BookListed {
  id: number;
  title: string;
  subtitle: string;
  sheets: number;
  revision: number;
  opened_at: string | null;
  changed_at: string;
}
/**
 * A book in the bin; ends_at: when it is deleted for good, in UTC.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "book_binned".
 */
export interface BookBinned {
  id: number;
  title: string;
  subtitle: string;
  sheets: number;
  revision: number;
  ends_at: string;
}
/**
 * A file that a book is to be made of; book: its number once it is made.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "start".
 */
export interface Start {
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
  book: number | null;
  /**
   * A book with everything that is opened, layer by layer.
   */
  opens: boolean;
  suggestions: CrsSuggestion[];
  /**
   * The name of the layer that is likely to be the study area.
   */
  area: string | null;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "start_proposal".
 */
export interface StartProposal {
  suggestions: CrsSuggestion[];
  reference?: {
    code: string;
    name: string;
  };
  scales?: {
    scale: number;
    count: number | null;
  }[];
  proposed?: number;
  about?: boolean;
  problem?: string;
  path?: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "listed".
 */
export interface Listed {
  count: number;
  first: {
    id: number;
    name: string;
    box: GroundBox | null;
  }[];
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "feature_cover".
 */
export interface FeatureCover {
  count: number;
  missing: Listed;
  cut: Listed;
  several: Listed;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "sheet_renamed".
 */
export interface SheetRenamed {
  number: number;
  old: string;
  new: string;
}
/**
 * A label of the page's map: see the core's SheetLabels. All places in mm of the page.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "placed_label".
 */
export interface PlacedLabel {
  layer: string;
  layer_title: string;
  rule: string;
  feature: LabelByHand["feature"];
  number: number;
  kind: "point" | "line" | "area";
  text: string;
  x: number;
  y: number;
  /**
   * @minItems 2
   * @maxItems 2
   */
  middle: [number, number];
  rings: number[][];
  by_hand: boolean;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "unplaced_label".
 */
export interface UnplacedLabel {
  layer: string;
  text: string;
  frame: string;
  x: number;
  y: number;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "sheet_labels".
 */
export interface SheetLabels {
  placed: PlacedLabel[];
  unplaced: UnplacedLabel[];
  to_ground: ToGround | null;
}
/**
 * What a frame shows on the page that is looked at: its middle in units of its reference, its scale, and the affine map from page mm to ground ([a, b, c, d, e, f], x' = a x + c y + e, y' = b x + d y + f).
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "frame_place".
 */
export interface FramePlace {
  id: string;
  x: number;
  y: number;
  scale: number;
  rotation_deg: number;
  /**
   * @minItems 6
   * @maxItems 6
   */
  to_ground: [number, number, number, number, number, number];
  globe: boolean;
}
/**
 * A row as the server tells of it: as it is arranged, and where it stands on the sheet that is shown.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "row_shown".
 */
export interface RowShown {
  row: LegendRow;
  name: string;
  /**
   * What the map calls what it stands for, and whose it is.
   */
  on_map: string[];
  layers: string[];
  /**
   * Of the map, and not arranged yet.
   */
  fresh: boolean;
  state: "here" | "elsewhere" | "hidden" | "gone" | "overfull";
  box?: PaperBox;
  /**
   * What its symbol is drawn of.
   */
  shape?: "point" | "line" | "area";
  swatch?: string;
  /**
   * The ends of a ramp of colours.
   *
   * @minItems 2
   * @maxItems 2
   */
  ramp?: [number, number];
  /**
   * One of several classes of a number.
   */
  steps: boolean;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "legend_shown".
 */
export interface LegendShown {
  rows: RowShown[];
  /**
   * Of a legend by hand: what of the map it does not list.
   */
  addable: {
    key: string;
    title: string;
    layer: string;
  }[];
  notices: string[];
  count: number;
  fitting: number;
  columns: number;
  size_pt: number;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "found".
 */
export interface Found {
  number: number;
  name: string;
  element: string;
  sentence: string;
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "legends_overfull".
 */
export interface LegendsOverfull {
  found: Found[];
  fullest: {
    number: number;
    name: string;
    rows: number;
  } | null;
  next: number | null;
  count: number;
}
/**
 * Work that goes on as a job of the server.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "run_begun".
 */
export interface RunBegun {
  run: IndexRun;
}
/**
 * What is wrong, in a sentence; path: of what is refused.
 *
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "refusal".
 */
export interface Refusal {
  message: string;
  code?: string;
  values?: unknown;
  path?: string;
  choices?: {
    text: string;
    says: string;
  }[];
}
/**
 * This interface was referenced by `Answers`'s JSON-Schema
 * via the `definition` "area_tried".
 */
export interface AreaTried {
  ground_m2: number | null;
  box: number[] | null;
  size_m: number[] | null;
  rings: unknown[];
}
