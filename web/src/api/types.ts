// The book document (docs/book.schema.json) and what the server adds to it.

export interface Stroke { colour?: string; width_mm?: number; dash_mm?: number[]; cap?: string; join?: string; opacity?: number }
export interface Marker { shape: string; size_mm: number; colour: string; outline?: Stroke }
export interface MapSymbol { strokes?: Stroke[]; fill?: { colour: string; opacity?: number }; marker?: Marker }
export interface Rule { title: string; when?: unknown; symbol: MapSymbol }
export interface Layer { id: string; title: string; visible: boolean; rules: Rule[]; label?: unknown }

export type Edge = "top" | "right" | "bottom" | "left";
export interface Page {
  size: string;
  width_mm?: number;
  height_mm?: number;
  orientation?: "portrait" | "landscape";
  margins_mm: Record<Edge, number>;
  binding?: { edge: "left" | "top" | "right"; gutter_mm: number };
}
export interface Element { kind: string; id: string; text?: string; place: Record<string, number> }
export interface Layout { name: string; page: Page; elements: Element[] }
export interface Index { kind: "grid"; area: string; room?: string; scale: number; held?: "projection" | "ground"; overlap_mm?: number }

export interface BookDocument {
  title: string;
  subtitle: string;
  author: string;
  source: string;
  date: string;
  reference: string;
  layers: Layer[];
  layout: Layout;
  index: Index;
}

export interface Cell {
  number: number;
  name: string;
  row: number;
  column: number;
  scale: number;
  corners: [number, number][];
  centre: [number, number];
  width: number;
  height: number;
}

export interface LayerInfo { id: string; kind: "point" | "line" | "area" | "mixed"; count: number; name: string | null; box: [number, number, number, number] | null; original_reference: string }

export interface Book {
  id: number;
  revision: number;
  document: BookDocument;
  reference: { code: string; name: string; metres_per_unit: number; unit: string };
  distortion: { words: string; warnings: string[] } | null;
  layers: LayerInfo[];
  cells: Cell[];
  frame: { width_mm: number; height_mm: number; page_width_mm: number; page_height_mm: number };
  undo: string | null;
  redo: string | null;
  sizes: string[];
  designs: string[];
  markers: string[];
  data_endings: string[];
}

export interface Answer { cells: Cell[]; count: number; rows: number; columns: number; sheet_width_m: number; sheet_height_m: number; left_out_m2: number }
export interface ScaleCount { scale: number; count: number | null }

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
export type Patch<T> = { [K in keyof T]?: T[K] extends unknown[] ? T[K] : T[K] extends object | undefined ? Patch<NonNullable<T[K]>> | null : T[K] | null };
