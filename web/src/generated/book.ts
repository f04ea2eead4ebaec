// Made by bin/generate out of docs/book.schema.json. Do not edit.

/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "id".
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "face".
 */
export type Id = string;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "opacity".
 */
export type Opacity = number;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "scale".
 */
export type Scale = number;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "size_pt".
 */
export type SizePt = number;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "colour".
 */
export type Colour = string;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "raster_look".
 */
export type RasterLook = PictureRasterLook | ClassesRasterLook | RampRasterLook | ShadingRasterLook;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "form".
 */
export type Form = PdfBookForm | PdfSheetsForm | ImagesForm | SvgSheetsForm | GroundForm | ImposedForm;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "length_mm".
 */
export type LengthMm = number;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "guides".
 */
export type Guides = number[];
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "element".
 */
export type Element =
  | MapFrameElement
  | InsetElement
  | TextElement
  | ScaleBarElement
  | NorthArrowElement
  | LegendElement
  | NeatlineElement
  | TableElement
  | LineElement
  | BoxElement
  | EllipseElement
  | PictureElement
  | IndexFrameElement
  | AdjoiningElement
  | LocatorElement
  | NorthDiagramElement
  | GridNoteElement;
/**
 * A length or an angle with its unit: 100 m, 500 ft, 5 min, 30 sec.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "gridInterval".
 */
export type GridInterval = string;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "extent".
 */
export type Extent = WholeIndexExtent | SheetExtent | NeighboursExtent | FixedExtent | FeaturesExtent | DetailExtent;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "legend_row".
 */
export type LegendRow =
  EntryLegendRow | HeadingLegendRow | NoteLegendRow | OwnLegendRow | StepsLegendRow | GridLegendRow;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "groundLength".
 */
export type GroundLength = string;
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "overlap".
 */
export type Overlap = string;

/**
 * A map book: ground (reference and layers), the layout of its sheets, and the grid index. Lengths on paper end in _mm (type in _pt); ground lengths are text with a unit, such as "50 m"; scale is the denominator.
 */
export interface BookDocument {
  format: "tile-loom-book";
  version: 1;
  title: string;
  subtitle?: string;
  author?: string;
  subject?: string;
  /**
   * Edition or revision, as the sheets say it.
   */
  edition?: string;
  source?: string;
  /**
   * Of the book, as long as it need be.
   */
  description?: string;
  /**
   * What else is to be said of it: live text has each by its name.
   */
  fields?: OwnField[];
  date?: string;
  crs: string;
  /**
   * Between two datums, the transformation that brings data and grids of one to the other, by its name in PROJ's database.
   */
  operations?: {
    /**
     * @minItems 2
     * @maxItems 2
     */
    datums: [string, string];
    name: string;
  }[];
  layers: Layer[];
  /**
   * The book's own drawings for point markers.
   */
  markers?: OwnMarker[];
  /**
   * The book's own typefaces.
   */
  faces?: Enclosure[];
  /**
   * The book's own pictures, PNG or JPEG.
   */
  pictures?: Enclosure[];
  /**
   * The book's own colour profiles (ICC) of printing presses.
   */
  profiles?: Enclosure[];
  /**
   * Colours that files for a printing press carry as they are to be printed.
   */
  palette?: Ink[];
  design_scale?: Scale;
  /**
   * Pixels per inch that rasters print with.
   */
  resolution_ppi?: number;
  /**
   * Which layers the maps show, each under a name.
   */
  looks?: MapLook[];
  notes?: Notes;
  /**
   * What was done to single labels by hand.
   */
  labels_by_hand?: LabelByHand[];
  /**
   * Saved export settings, each under a name.
   */
  orders?: Order[];
  /**
   * Of its texts (RFC 5646): how numbers and dates are written on its pages, and the words that pages have of themselves.
   */
  language?: string;
  layout: Layout;
  index_layout?: Layout;
  index_pages?: IndexPages;
  /**
   * Pages beside the sheets: covers, notes, contents.
   */
  pages?: FreePage[];
  index: Index;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "own_field".
 */
export interface OwnField {
  id?: Id;
  /**
   * By which live text asks for it: {{ fields.name }}.
   */
  name: string;
  value?: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "layer".
 */
export interface Layer {
  id: Id;
  title: string;
  visible?: boolean;
  /**
   * Which file the data came from last: 1, and one more with each update from a file.
   */
  version?: number;
  /**
   * Layers of the same group are listed together.
   */
  group?: string;
  /**
   * A locked layer does not respond to editing.
   */
  locked?: boolean;
  opacity?: Opacity;
  /**
   * How it is laid on the layers below it: over them, or multiplied with them.
   */
  blend?: "normal" | "multiply";
  /**
   * Is a feature drawn by the first rule that it meets, or by all?
   */
  match?: "first" | "all";
  /**
   * The scales (denominators) between which the layer is drawn, both counted in.
   */
  visible_scales?: {
    largest?: Scale;
    smallest?: Scale;
  };
  design_scale?: Scale;
  /**
   * Without its own design scale: are its sizes as the book has them, or fixed on paper?
   */
  sizes?: "book" | "paper";
  /**
   * Where the data are: a file beside the book (any format GDAL reads, and a layer in it), several that together are one picture, or a GeoJSON collection in the book itself.
   */
  data?: {
    file?: string;
    layer?: string;
    files?: string[];
    /**
     * In place of what the file says of its CRS.
     */
    crs?: string;
    /**
     * What the values of a raster file are; without it, what they look like.
     */
    taken_as?: "picture" | "classes" | "values";
    collection?: unknown;
  };
  /**
   * What is written with its features.
   */
  labels?: LabelRule[];
  /**
   * Has a feature the label of the first label rule that it meets, or those of all?
   */
  label_match?: "first" | "all";
  /**
   * How much labels avoid its symbols: 0 not at all, 100 always. Markers 100, lines and areas 0 where none is given.
   */
  avoidance?: number;
  rules?: Rule[];
  tiles?: TileSource;
  raster?: RasterLook;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_rule".
 */
export interface LabelRule {
  id?: Id;
  title?: string;
  when?: Condition;
  /**
   * The scales (denominators) between which it is drawn, both counted in.
   */
  visible_scales?: {
    largest?: Scale;
    smallest?: Scale;
  };
  /**
   * The field whose value is the text.
   */
  field?: string;
  /**
   * A text that the fields fill in: {{ name }} ({{ height | decimals: 0 }} m). A new line begins another.
   */
  text?: string;
  /**
   * Lines of more characters are broken between words.
   */
  wrap?: number;
  /**
   * Used where the full text does not fit.
   */
  abbreviations?: Abbreviation[];
  letter_case?: "as_written" | "capitals" | "small" | "each_word";
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
  opacity?: Opacity;
  /**
   * Added after each letter.
   */
  letter_spacing_pt?: number;
  /**
   * Added to each space.
   */
  word_spacing_pt?: number;
  /**
   * Between baselines, in sizes of the type.
   */
  line_spacing?: number;
  halo?: LabelHalo;
  backing?: LabelBacking;
  /**
   * Of two that want the same room the higher has it.
   */
  priority?: number;
  points?: LabelPointPlaces;
  lines?: LabelLinePlaces;
  areas?: LabelAreaPlaces;
  leader?: Stroke;
  /**
   * Have features of the same text one label, as parts that belong together?
   */
  together?: boolean;
}
/**
 * A condition in OGC CQL2 JSON (OGC 21-065r2): an operation that is true or false.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "condition".
 */
export interface Condition {
  op:
    | "="
    | "<>"
    | "<"
    | "<="
    | ">"
    | ">="
    | "and"
    | "or"
    | "not"
    | "in"
    | "between"
    | "like"
    | "isNull"
    | "isSheetFeature"
    | "touchesSheetFeature"
    | "withinSheetFeature";
  args: unknown[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "abbreviation".
 */
export interface Abbreviation {
  id?: Id;
  full: string;
  short: string;
}
/**
 * The rim under a label, so that it can be read over the map.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_halo".
 */
export interface LabelHalo {
  colour?: Colour;
  /**
   * 0 for none.
   */
  width_mm?: number;
  opacity?: Opacity;
}
/**
 * What stands behind a label.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_backing".
 */
export interface LabelBacking {
  shape?: "box" | "rounded" | "ellipse" | "hexagon" | "shield";
  /**
   * Between the text and its edge.
   */
  margin_mm?: number;
  fill?: Fill;
  stroke?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "fill".
 */
export interface Fill {
  colour: Colour;
  opacity?: Opacity;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "stroke".
 */
export interface Stroke {
  colour?: Colour;
  width_mm?: number;
  dash_mm?: number[];
  cap?: "butt" | "round" | "square";
  join?: "round" | "miter" | "bevel";
  opacity?: Opacity;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_point_places".
 */
export interface LabelPointPlaces {
  /**
   * Round the symbol, the best first.
   */
  positions?: (
    "upper_left" | "above" | "upper_right" | "left" | "centred" | "right" | "lower_left" | "below" | "lower_right"
  )[];
  /**
   * Between the symbol and the text.
   */
  gap_mm?: number;
  /**
   * May it be moved away, with a leader line?
   */
  leader?: boolean;
  /**
   * So far at the most.
   */
  leader_mm?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_line_places".
 */
export interface LabelLinePlaces {
  /**
   * Along the line's course glyph by glyph, straight in its direction, or level.
   */
  course?: "curved" | "straight" | "level";
  /**
   * Of the line, as the reader has it; either: above where there is room, else below.
   */
  position?: "above" | "below" | "either" | "on";
  /**
   * Between the line and the text beside it.
   */
  gap_mm?: number;
  /**
   * Along the line it has one label in so much.
   */
  repeat_mm?: number;
  /**
   * No two neighbouring letters are turned by more.
   */
  sharpest_deg?: number;
  /**
   * Is the line interrupted where its label stands on it?
   */
  breaks?: boolean;
  /**
   * Upright for the reader, or with the top of the text uphill, as contour values may stand.
   */
  top?: "reader" | "uphill";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_area_places".
 */
export interface LabelAreaPlaces {
  /**
   * Level at the widest place, straight along the long axis, or curved along the middle.
   */
  course?: "level" | "axis" | "curved";
  /**
   * Are its letters spaced so that the label spans the area?
   */
  letterspaced?: boolean;
  /**
   * At most so many times the type's size between letters.
   */
  maximum_spacing?: number;
  /**
   * Beside an area that is too small for it, with a leader line?
   */
  outside?: boolean;
  /**
   * So far from it at the most.
   */
  leader_mm?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "rule".
 */
export interface Rule {
  id?: Id;
  title: string;
  when?: Condition;
  symbol: MapSymbol;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "mapSymbol".
 */
export interface MapSymbol {
  strokes?: Stroke[];
  fill?: Fill;
  pattern?: {
    kind: "lines" | "crossed" | "dots" | "staggered-dots" | "dashes" | "plus-signs";
    colour?: Colour;
    spacing_mm?: number;
    width_mm?: number;
    angle_deg?: number;
    opacity?: Opacity;
  };
  marker?: {
    shape: Id;
    size_mm: number;
    colour: Colour;
    opacity?: Opacity;
    outline?: Stroke;
  };
}
/**
 * Where background tiles come from.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "tile_source".
 */
export interface TileSource {
  /**
   * With {z}, {x} and {y} (or {-y}, from the bottom); or {TileMatrix}, {TileCol} and {TileRow}.
   */
  url: string;
  /**
   * Who is to be named on every sheet that shows them.
   */
  attribution: string;
  crs?: string;
  tile_px?: number;
  least_zoom?: number;
  most_zoom?: number;
  /**
   * The upper left corner of the matrices.
   *
   * @minItems 2
   * @maxItems 2
   */
  origin?: [number, number];
  /**
   * Levels of another set, the coarsest first.
   */
  matrices?: TileMatrix[];
}
/**
 * A level of a tile matrix set (OGC 17-083r4).
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "tile_matrix".
 */
export interface TileMatrix {
  name: string;
  units_per_px: number;
  columns: number;
  rows: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "picture_raster_look".
 */
export interface PictureRasterLook {
  /**
   * Which bands are shown: one as grey, three as red, green and blue.
   */
  bands?: number[];
  /**
   * In per cent; 0 as it is.
   */
  brightness?: number;
  /**
   * In per cent; 0 as it is.
   */
  contrast?: number;
  /**
   * In per cent; -100 is grey.
   */
  saturation?: number;
  /**
   * Above 1 lightens the middle tones.
   */
  gamma?: number;
  /**
   * Percentages of the values, in rising order, between which black and white are set; bytes are shown as they are without it, larger numbers between 2 and 98.
   *
   * @minItems 2
   * @maxItems 2
   */
  stretch?: [number, number];
  clear_colour?: Colour;
  resampling?: "bilinear" | "cubic";
  kind: "picture";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "classes_raster_look".
 */
export interface ClassesRasterLook {
  classes: RasterClass[];
  kind: "classes";
}
/**
 * A value, or the values from one up to below another.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "raster_class".
 */
export interface RasterClass {
  id?: Id;
  value?: number;
  from?: number;
  to?: number;
  title?: string;
  colour: Colour;
  /**
   * It is transparent, and no legend lists it.
   */
  hidden?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "ramp_raster_look".
 */
export interface RampRasterLook {
  tints?: Colour[];
  reversed?: boolean;
  /**
   * Each colour stands by itself, for an equal part of the range.
   */
  stepped?: boolean;
  between?: "percentages" | "lowest and highest" | "limits";
  /**
   * A percentage or a limit, as "between" says; 2 per cent by default.
   */
  from?: number;
  /**
   * 98 per cent by default.
   */
  to?: number;
  /**
   * Of the values, as a legend has it.
   */
  unit?: string;
  relief?: Relief;
  kind: "ramp";
}
/**
 * Shading of heights by lights.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "relief".
 */
export interface Relief {
  lights?: Light[];
  /**
   * Heights count as so many times as high.
   */
  exaggeration?: number;
  heights_in?: "metres" | "feet";
}
/**
 * A light that shades relief.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "light".
 */
export interface Light {
  /**
   * Where it comes from, clockwise from grid north.
   */
  azimuth_deg?: number;
  /**
   * Above the horizon.
   */
  altitude_deg?: number;
  /**
   * Its share among several.
   */
  weight?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "shading_raster_look".
 */
export interface ShadingRasterLook {
  lights?: Light[];
  /**
   * Heights count as so many times as high.
   */
  exaggeration?: number;
  heights_in?: "metres" | "feet";
  /**
   * In per cent: how dark the shades are.
   */
  strength?: number;
  /**
   * Does a legend list it?
   */
  legend?: boolean;
  kind: "shading";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "ownMarker".
 */
export interface OwnMarker {
  id: Id;
  title: string;
  svg: string;
}
/**
 * A file that the book carries: its bytes in base64, a file beside the book, or (where the application keeps them) their SHA-256.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "enclosure".
 */
export interface Enclosure {
  id: Id;
  title: string;
  content?: string;
  data?: string;
  file?: string;
}
/**
 * A colour of the palette: how it looks on the screen, and what is printed.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "ink".
 */
export interface Ink {
  id?: Id;
  colour: Colour;
  name: string;
  /**
   * Cyan, magenta, yellow and black in per cent; for a spot colour, what stands in for it.
   */
  cmyk: number[];
  /**
   * Is it a spot colour, called by its name on the plates?
   */
  spot?: boolean;
  /**
   * Is it printed over what lies below, without a gap for it?
   */
  overprint?: boolean;
}
/**
 * Layers that the maps show together, under a name.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "map_look".
 */
export interface MapLook {
  id?: Id;
  title: string;
  layers: {
    id: Id;
    opacity?: Opacity;
    /**
     * Its symbols in this look; its own where none are given.
     */
    rules?: Rule[];
    /**
     * Its labels in this look, none where the list is empty; its own where nothing is said.
     */
    labels?: LabelRule[];
    raster?: RasterLook;
  }[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "notes".
 */
export interface Notes {
  title?: string;
  visible?: boolean;
  opacity?: Opacity;
  list?: Note[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "note".
 */
export interface Note {
  id: Id;
  kind: "text" | "line" | "rectangle" | "ellipse" | "area";
  /**
   * In the book's CRS. A text's middle, and where its leader line leads to; of a rectangle or an ellipse two opposite corners.
   */
  places: [number, number][];
  /**
   * A new line begins another.
   */
  text?: string;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
  /**
   * Of a text, clockwise on the page.
   */
  rotation_deg?: number;
  halo?: LabelHalo;
  backing?: LabelBacking;
  stroke?: Stroke;
  fill?: Fill;
  /**
   * What a line begins with.
   */
  first_end?: "head" | "swept" | "open" | "dot" | "cross_bar";
  /**
   * What a line, or the leader line of a text, ends in.
   */
  last_end?: "head" | "swept" | "open" | "dot" | "cross_bar";
  /**
   * Size of what it begins with and ends in.
   */
  end_mm?: number;
  hidden?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "label_by_hand".
 */
export interface LabelByHand {
  id?: Id;
  layer: Id;
  rule: Id;
  /**
   * The feature: by the value of a field that tells features apart, by its number, or, of parts that belong together, by their text.
   */
  feature: {
    field?: string;
    value?: string;
    id?: string;
    text?: string;
  };
  /**
   * Of several labels along a line which one, from 0.
   */
  number?: number;
  /**
   * On the sheet of this name alone; without it wherever the feature is shown.
   */
  sheet?: string;
  /**
   * Of a point: its middle from the point, in mm of the page, y down.
   *
   * @minItems 2
   * @maxItems 2
   */
  offset_mm?: [number, number];
  /**
   * Of a line or an area: where its middle lies, in the book's CRS.
   *
   * @minItems 2
   * @maxItems 2
   */
  at?: [number, number];
  /**
   * Clockwise on the page; a label of a line is straight then.
   */
  rotation_deg?: number;
  hidden?: boolean;
  /**
   * In place of the label's text; a new line begins another.
   */
  text?: string;
}
/**
 * Export settings: which sheets, in which format.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "order".
 */
export interface Order {
  id?: Id;
  name?: string;
  sheets?: string;
  where?: Condition;
  /**
   * Pixels per inch: of rasters in the files, and of images; the book's own where none are given.
   */
  ppi?: number;
  /**
   * Live text, of which names of files are made.
   */
  file_name?: string;
  form?: Form;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "pdf_book_form".
 */
export interface PdfBookForm {
  kind: "pdf_book";
  pdf?: PdfManner;
}
/**
 * What PDF files carry beside their pages.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "pdf_manner".
 */
export interface PdfManner {
  version?: "1.7" | "2.0";
  standard?: "none" | "pdf_a_2u" | "pdf_a_3u" | "pdf_x_4";
  /**
   * Colours of the screen, or those of the book's palette and of a printing press.
   */
  colours?: "screen" | "press";
  profile?: Id;
  /**
   * With the structure that screen readers go by.
   */
  tagged?: boolean;
  links?: boolean;
  georeferenced?: boolean;
  /**
   * Can a reader switch the layers?
   */
  switchable?: boolean;
  layers?: PdfLayer[];
  object_data?: PdfObjectData[];
  attach_book?: boolean;
  attach_data?: boolean;
  opens_at?: "page" | "width" | "actual size";
  panel?: "bookmarks" | "layers" | "none";
  /**
   * Readable over a network before all of it is there.
   */
  linearized?: boolean;
  /**
   * With a password, which is asked for when it is exported.
   */
  protected?: boolean;
  /**
   * What a protected file lets its reader print.
   */
  printing?: "full" | "low" | "none";
  changing?: boolean;
  copying?: boolean;
}
/**
 * How a layer is found when the file is opened, and whether it is printed.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "pdf_layer".
 */
export interface PdfLayer {
  id: Id;
  shown?: boolean;
  printed?: "as shown" | "always" | "never";
}
/**
 * A layer whose features carry their attributes.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "pdf_object_data".
 */
export interface PdfObjectData {
  layer: Id;
  /**
   * All of them where none is named.
   */
  fields?: string[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "pdf_sheets_form".
 */
export interface PdfSheetsForm {
  kind: "pdf_sheets";
  pdf?: PdfManner;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "images_form".
 */
export interface ImagesForm {
  kind: "images";
  format?: "png" | "jpeg" | "tiff" | "webp" | "geotiff";
  shows?: "page" | "map frame" | "frame with border";
  /**
   * Without the white of the paper.
   */
  clear?: boolean;
  depth?: "colour" | "grey" | "256 colours";
  /**
   * Of JPEG and WebP.
   */
  quality?: number;
  /**
   * With a world file and a file that names the reference beside it.
   */
  placed?: boolean;
  /**
   * Are rotated sheets resampled in a GeoTIFF so that north is up?
   */
  north_up?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "svg_sheets_form".
 */
export interface SvgSheetsForm {
  kind: "svg_sheets";
  /**
   * Text with its typefaces in the file, or its outlines.
   */
  text?: "text" | "outlines";
  links?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "ground_form".
 */
export interface GroundForm {
  kind: "ground";
  format?: "mbtiles" | "geopackage";
  scale?: Scale;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "imposed_form".
 */
export interface ImposedForm {
  kind: "imposed";
  /**
   * How pages lie on the paper.
   */
  lay?: "several on one" | "booklet" | "parts of large pages";
  paper?:
    | "A0"
    | "A1"
    | "A2"
    | "A3"
    | "A4"
    | "A5"
    | "A6"
    | "B0"
    | "B1"
    | "B2"
    | "B3"
    | "B4"
    | "B5"
    | "B6"
    | "ANSI A"
    | "ANSI B"
    | "ANSI C"
    | "ANSI D"
    | "ANSI E"
    | "ARCH A"
    | "ARCH B"
    | "ARCH C"
    | "ARCH D"
    | "ARCH E";
  orientation?: "as fits" | "portrait" | "landscape";
  /**
   * Pages beside each other, where several lie on one.
   */
  across?: number;
  down?: number;
  /**
   * Between pages.
   */
  gap_mm?: number;
  /**
   * What the printer leaves free at each edge of the paper.
   */
  margin_mm?: number;
  /**
   * By how much neighbouring parts of a large page show the same.
   */
  overlap_mm?: number;
  /**
   * Marks to cut by, and crosses by which parts are laid together.
   */
  marks?: boolean;
  /**
   * Are pages never enlarged?
   */
  true_size?: boolean;
  pdf?: PdfManner;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "layout".
 */
export interface Layout {
  name?: string;
  page: {
    size:
      | "A0"
      | "A1"
      | "A2"
      | "A3"
      | "A4"
      | "A5"
      | "A6"
      | "B0"
      | "B1"
      | "B2"
      | "B3"
      | "B4"
      | "B5"
      | "B6"
      | "ANSI A"
      | "ANSI B"
      | "ANSI C"
      | "ANSI D"
      | "ANSI E"
      | "ARCH A"
      | "ARCH B"
      | "ARCH C"
      | "ARCH D"
      | "ARCH E"
      | "custom";
    width_mm?: number;
    height_mm?: number;
    orientation?: "portrait" | "landscape";
    margins_mm: {
      top: LengthMm;
      right: LengthMm;
      bottom: LengthMm;
      left: LengthMm;
    };
    binding?: {
      edge: "left" | "top" | "right";
      gutter_mm: LengthMm;
      /**
       * Printed on both sides: even pages of the book (an index sheet is page 1) have left and right the other way round.
       */
      mirrored?: boolean;
    };
    /**
     * How far the drawing goes beyond the trimmed page.
     */
    bleed_mm?: number;
    trim_marks?: boolean;
  };
  /**
   * Lines to snap to, in mm from the page's left and upper edge; they do not print.
   */
  guides?: {
    x?: Guides;
    y?: Guides;
  };
  elements: Element[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "map_frame_element".
 */
export interface MapFrameElement {
  kind: "map_frame";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  border?: Border;
  grids?: Grid[];
  look?: Id;
  /**
   * Of the layers: all that are shown, only areas and rasters, or none.
   */
  layers?: "all" | "areas" | "none";
  /**
   * With the labels of its layers?
   */
  labels?: boolean;
  shape?: {
    kind?: "rectangle" | "rounded" | "ellipse" | "polygon";
    corner_mm?: LengthMm;
    /**
     * Corners of a polygon, as shares of the box's width and height.
     */
    points?: [number, number][];
  };
  fill?: Fill;
  shadow?: Shadow;
  cells?: CellsShown;
  veil?: Veil;
  /**
   * The ground of other frames of the page, shown in this one.
   */
  outlines?: FrameOutline[];
  /**
   * Where neighbouring sheets take over, with their names.
   */
  match_lines?: {
    stroke?: Stroke;
    face?: Id;
    size_pt?: SizePt;
  };
}
/**
 * Distances from the edges of the live area (the page inside margins and gutter), or sizes.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "place".
 */
export interface Place {
  left_mm?: number;
  right_mm?: number;
  top_mm?: number;
  bottom_mm?: number;
  width_mm?: number;
  height_mm?: number;
}
/**
 * On which sheets: where several things are said, all of them hold.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "shown_on".
 */
export interface ShownOn {
  /**
   * Names, numbers and ranges: "A1, B2-C1, 7".
   */
  sheets?: string;
  /**
   * Of the sheets; odd and even are numbers of pages.
   */
  which?: "all" | "first" | "last" | "not_first" | "not_last" | "odd" | "even";
  /**
   * Sheets that have a neighbour there …
   */
  neighbour?: "north" | "east" | "south" | "west";
  /**
   * … or that have none.
   */
  without?: boolean;
  when?: Condition;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "border".
 */
export interface Border {
  kind?: "plain" | "ticked" | "double" | "banded";
  colour?: Colour;
  /**
   * Of its line.
   */
  width_mm?: number;
  dash_mm?: number[];
  opacity?: Opacity;
  cap?: "butt" | "round" | "square";
  join?: "round" | "miter" | "bevel";
  /**
   * Margin between the ground and the border.
   */
  gap_mm?: number;
  /**
   * From its inner to its outer edge; as the kind has it where none is given.
   */
  thickness_mm?: number;
  /**
   * The line at the ground's edge where there is a margin; width 0 for none.
   */
  inner?: {
    colour?: Colour;
    width_mm?: number;
  };
  /**
   * By a grid's lines (the first one's where none is named), or evenly by about so many mm.
   */
  steps?: {
    grid?: Id;
    mm?: number;
  };
  rows?: number;
  dark?: Colour;
  light?: Colour;
  corner_blocks?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "grid".
 */
export interface Grid {
  id: Id;
  title?: string;
  /**
   * "book", "geographic" (longitude and latitude of the book's CRS), "utm" (the zones that the frame shows, on WGS 84), or another CRS.
   */
  crs: string;
  hidden?: boolean;
  /**
   * Which sheets: all, those that are not rotated, those that are (as in a strip).
   */
  drawn_on?: "all" | "unrotated" | "rotated";
  /**
   * Above or below the layers of the ground.
   */
  draw_order?: "above" | "below";
  /**
   * Spacing aimed at on paper; an automatic interval is the nearest of the standard series.
   */
  target_mm?: number;
  /**
   * An automatic interval suits each sheet's scale, or is one for the whole book.
   */
  fitted?: "sheet" | "book";
  /**
   * Fixed intervals; without one, the interval is automatic.
   */
  interval?: {
    x?: GridInterval;
    y?: GridInterval;
  };
  /**
   * Where lines are counted from.
   */
  origin?: {
    x?: GridInterval;
    y?: GridInterval;
  };
  look?: "lines" | "crosses" | "ticks" | "dots" | "squares";
  /**
   * Arms of crosses.
   */
  arm_mm?: number;
  /**
   * Length of ticks.
   */
  tick_mm?: number;
  ticks?: "inside" | "outside" | "across";
  /**
   * Of dots and squares.
   */
  size_mm?: number;
  stroke: Stroke;
  /**
   * Every nth line is drawn heavier.
   */
  index_lines?: {
    every: number;
    stroke?: Stroke;
  };
  halo?: Halo;
  /**
   * The letters of the 100 km squares, where the reference defines them.
   */
  squares?: {
    size_pt?: SizePt;
    colour?: Colour;
  };
  labels?: {
    sides: ("top" | "right" | "bottom" | "left")[];
    position?: "outside" | "inside";
    /**
     * Along the side, level, or along the line.
     */
    orientation?: "along_edge" | "level" | "along_line";
    /**
     * A side has the labels of the lines that cross it more steeply, or of both.
     */
    families?: "main" | "both";
    /**
     * In full, or short with the first and last in full.
     */
    form?: "full" | "short";
    /**
     * Degrees, degrees and minutes, degrees, minutes and seconds, or decimal degrees; as the interval needs it where none is given.
     */
    notation?: "d" | "dm" | "dms" | "decimal";
    /**
     * As many as keep a label within 0.05 mm of its line where none are given.
     */
    decimals?: number;
    /**
     * Angles have letters and lengths signs where nothing is given.
     */
    hemisphere?: "letters" | "signs";
    /**
     * Leading zeros of degrees: 007°.
     */
    zeros?: boolean;
    thousands?: "thin" | "language" | "comma" | "point" | "none";
    /**
     * The unit after each length.
     */
    unit?: boolean;
    /**
     * The coordinates of the frame's corners in full.
     */
    corners?: boolean;
    label_gap_mm?: LengthMm;
    /**
     * Lines keep so clear of labels that stand on them.
     */
    line_gap_mm?: number;
    face?: Id;
    size_pt?: SizePt;
    colour?: Colour;
    halo?: Halo;
  };
}
/**
 * A lighter rim so that it can be read over the map.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "halo".
 */
export interface Halo {
  colour?: Colour;
  width_mm?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "shadow".
 */
export interface Shadow {
  /**
   * To the right.
   */
  dx_mm?: number;
  /**
   * Down.
   */
  dy_mm?: number;
  /**
   * How wide its edge is.
   */
  soft_mm?: number;
  colour?: Colour;
  opacity?: Opacity;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "cells_shown".
 */
export interface CellsShown {
  colour?: Colour;
  /**
   * Of their lines; 0 for none.
   */
  width_mm?: number;
  fill?: Fill;
  /**
   * What is written in them: the names of the sheets, their numbers, or both.
   */
  labels?: "names" | "numbers" | "both" | "none";
  face?: Id;
  size_pt?: SizePt;
  halo?: Colour;
  /**
   * Which labels have the room where both want it: those of the cells, or those of the features.
   */
  first?: "cells" | "features";
  /**
   * Is the sheet's own cell set off?
   */
  this_sheet?: boolean;
  this_colour?: Colour;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "veil".
 */
export interface Veil {
  /**
   * What stays clear: the feature that the sheet is of, the study area, or the sheet's cell.
   */
  round?: "feature" | "study_area" | "cell";
  colour?: Colour;
  opacity?: Opacity;
  /**
   * Kept clear round it, on paper.
   */
  margin_mm?: number;
  /**
   * How wide its edge is, beyond the margin.
   */
  soft_mm?: number;
  /**
   * Labels of the layers.
   */
  labels?: "above" | "below";
  /**
   * Coordinate grids inside the frame.
   */
  grids?: "above" | "below";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "frame_outline".
 */
export interface FrameOutline {
  id?: Id;
  frame?: Id;
  /**
   * A line round it, a veil outside it, or brackets at its corners.
   */
  look?: "outline" | "brackets" | "veil";
  stroke?: Stroke;
  fill?: Fill;
  /**
   * With the letter of that frame, if it has one.
   */
  lettered?: boolean;
  /**
   * Lines from it to that frame, where both are on the page.
   */
  leaders?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "inset_element".
 */
export interface InsetElement {
  kind: "inset";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  border?: Border;
  grids?: Grid[];
  look?: Id;
  /**
   * Of the layers: all that are shown, only areas and rasters, or none.
   */
  layers?: "all" | "areas" | "none";
  /**
   * With the labels of its layers?
   */
  labels?: boolean;
  shape?: {
    kind?: "rectangle" | "rounded" | "ellipse" | "polygon";
    corner_mm?: LengthMm;
    /**
     * Corners of a polygon, as shares of the box's width and height.
     */
    points?: [number, number][];
  };
  fill?: Fill;
  shadow?: Shadow;
  cells?: CellsShown;
  veil?: Veil;
  /**
   * The ground of other frames of the page, shown in this one.
   */
  outlines?: FrameOutline[];
  extent?: Extent;
  /**
   * "book", or another CRS.
   */
  crs?: string;
  globe?: Globe;
  /**
   * By which it is known in the frames that show its outline.
   */
  letter?: string;
  letter_pt?: SizePt;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "whole_index_extent".
 */
export interface WholeIndexExtent {
  kind: "whole_index";
  /**
   * Its scale: as large as fits; at the next scale of two figures; at the next standard scale; or as it is given.
   */
  size?: "fitted" | "round" | "standard" | "held";
  scale?: Scale;
  margin_percent?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * Rotated as the sheet's own ground is, and by that more.
   */
  turned_with_sheet?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "sheet_extent".
 */
export interface SheetExtent {
  kind: "sheet";
  /**
   * Its scale: as large as fits; at the next scale of two figures; at the next standard scale; or as it is given.
   */
  size?: "fitted" | "round" | "standard" | "held";
  scale?: Scale;
  /**
   * Round what is to be seen, of its larger side.
   */
  margin_percent?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * Rotated as the sheet's own ground is, and by that more.
   */
  turned_with_sheet?: boolean;
  /**
   * The sheet's ground, so many times as wide and as high.
   */
  times?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "neighbours_extent".
 */
export interface NeighboursExtent {
  kind: "neighbours";
  /**
   * Its scale: as large as fits; at the next scale of two figures; at the next standard scale; or as it is given.
   */
  size?: "fitted" | "round" | "standard" | "held";
  scale?: Scale;
  margin_percent?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * Rotated as the sheet's own ground is, and by that more.
   */
  turned_with_sheet?: boolean;
  rings?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "fixed_extent".
 */
export interface FixedExtent {
  kind: "fixed";
  size?: "held";
  scale: Scale;
  /**
   * Round what is to be seen, of its larger side.
   */
  margin_percent?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * Rotated as the sheet's own ground is, and by that more.
   */
  turned_with_sheet?: boolean;
  /**
   * Of the middle: easting, in units of the frame's CRS.
   */
  x: number;
  /**
   * Northing.
   */
  y: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "features_extent".
 */
export interface FeaturesExtent {
  kind: "features";
  /**
   * Its scale: as large as fits; at the next scale of two figures; at the next standard scale; or as it is given.
   */
  size?: "fitted" | "round" | "standard" | "held";
  scale?: Scale;
  margin_percent?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * Rotated as the sheet's own ground is, and by that more.
   */
  turned_with_sheet?: boolean;
  layer?: Id;
  when?: Condition;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "detail_extent".
 */
export interface DetailExtent {
  kind: "detail";
  /**
   * Its scale: as large as fits; at the next scale of two figures; at the next standard scale; or as it is given.
   */
  size?: "fitted" | "round" | "standard" | "held";
  scale?: Scale;
  /**
   * Round what is to be seen, of its larger side.
   */
  margin_percent?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * Rotated as the sheet's own ground is, and by that more.
   */
  turned_with_sheet?: boolean;
  frame?: Id;
  /**
   * So many times as large as there.
   */
  times?: number;
  /**
   * Its middle in that frame: from the frame's left and upper edge.
   *
   * @minItems 2
   * @maxItems 2
   */
  at_mm?: [number, number];
  /**
   * Or on the ground: [easting, northing].
   *
   * @minItems 2
   * @maxItems 2
   */
  at?: [number, number];
}
/**
 * A view of the earth in place of a CRS and an extent.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "globe".
 */
export interface Globe {
  projection?: "orthographic" | "equidistant" | "equal_area";
  centre?: "study_area" | "sheet" | "place";
  /**
   * Of a given place.
   */
  longitude?: number;
  latitude?: number;
  /**
   * Of the frame over the ground, clockwise, as of a cell.
   */
  rotation_deg?: number;
  /**
   * How far round its centre: 90 for the near side, 180 for all (an orthographic view ends at 90).
   */
  reach_deg?: number;
  sea?: Fill;
  land?: Fill;
  coast?: Stroke;
  rim?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "text_element".
 */
export interface TextElement {
  kind: "text";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  fill?: Fill;
  gradient?: Gradient;
  shadow?: Shadow;
  corner_mm?: LengthMm;
  /**
   * Each corner's own radius: upper left, upper right, lower right, lower left.
   */
  corners_mm?: LengthMm[];
  text: string;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
  align?: "left" | "centre" | "right" | "justify";
  anchor?: "top" | "middle" | "bottom";
  tracking_pt?: number;
  line_height?: number;
  minimum_pt?: SizePt;
  /**
   * Has it tags for its looks: b, i, u, s, sup, sub, span, p, br, ul, ol and li, as in HTML?
   */
  markup?: boolean;
  paragraph_gap_mm?: number;
  /**
   * Of the first line of each paragraph.
   */
  first_indent_mm?: number;
  indent_mm?: number;
  right_indent_mm?: number;
  tabs?: TabStop[];
  columns?: number;
  column_gap_mm?: number;
  /**
   * May words be broken at line ends, as the book's language has it?
   */
  hyphenate?: boolean;
  padding_mm?: LengthMm;
  stroke?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "gradient".
 */
export interface Gradient {
  kind?: "linear" | "radial";
  /**
   * In which direction it runs, clockwise from rightwards; 90 is downwards.
   */
  direction_deg?: number;
  /**
   * Colours at shares of the way.
   */
  stops: GradientStop[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "gradient_stop".
 */
export interface GradientStop {
  at: number;
  colour: Colour;
  opacity?: Opacity;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "tab_stop".
 */
export interface TabStop {
  at_mm: number;
  align?: "left" | "right" | "centre" | "decimal";
  leader?: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "scale_bar_element".
 */
export interface ScaleBarElement {
  kind: "scale_bar";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  style?:
    | "chequered"
    | "double_chequered"
    | "outline"
    | "ticked_line"
    | "stepped"
    | "tapered"
    | "fraction_alone"
    | "two_units";
  /**
   * Between the rows of a double bar.
   */
  gap_mm?: number;
  /**
   * Of the line: up, down or through it.
   */
  ticks?: "up" | "down" | "through";
  /**
   * A family changes to its larger unit where the bar is at least one of it long.
   */
  units?:
    | "metric"
    | "imperial"
    | "survey"
    | "yards"
    | "nautical"
    | "m"
    | "km"
    | "ft"
    | "us-ft"
    | "yd"
    | "mi"
    | "nmi"
    | "paces"
    | "minutes";
  /**
   * A second bar below, from the same zero.
   */
  second_units?:
    | "metric"
    | "imperial"
    | "survey"
    | "yards"
    | "nautical"
    | "m"
    | "km"
    | "ft"
    | "us-ft"
    | "yd"
    | "mi"
    | "nmi"
    | "paces"
    | "minutes";
  /**
   * Length of a pace (common practice).
   */
  pace_m?: number;
  /**
   * Kilometres an hour, for minutes of walking (common practice).
   */
  walk_kmh?: number;
  /**
   * To the right of zero; as many as are round where none are given.
   */
  divisions?: number;
  /**
   * A fixed length with its unit, such as 100 m; else the longest round one that fits.
   */
  division_length?: string;
  /**
   * Subdivisions to the left of zero.
   */
  extension?: number;
  /**
   * Shorter than this it is refused; 5 mm where nothing is said.
   */
  minimum_mm?: number;
  maximum_mm?: number;
  height_mm?: number;
  tick_mm?: number;
  /**
   * Between the bars of two units.
   */
  bars_gap_mm?: number;
  labelled?: "all" | "alternate" | "ends" | "none";
  labels_at?: "above" | "below";
  label_gap_mm?: number;
  /**
   * As many as the values need where none are given.
   */
  decimals?: number;
  thousands?: "language" | "comma" | "thin" | "point" | "none";
  unit_at?: "last" | "middle" | "none";
  /**
   * The unit's own symbol where nothing is given.
   */
  unit_text?: string;
  /**
   * The representative fraction.
   */
  fraction?: "none" | "above" | "below";
  /**
   * The scale in a sentence.
   */
  verbal?: "none" | "above" | "below";
  verbal_units?: "metric" | "imperial";
  align?: "left" | "centre" | "right";
  light?: Colour;
  stroke_mm?: number;
  halo?: Halo;
  backing?: Fill;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
  frame?: Id;
  /**
   * Along the page's horizontal on the ground, or along the grid as the reference counts.
   */
  measured?: "level" | "grid";
  /**
   * The place on the page where it is true; the frame's middle where none is given.
   */
  true_at?: {
    x_mm: number;
    y_mm: number;
  };
  /**
   * Off by more than this anywhere in the frame, it is warned of.
   */
  error_limit_percent?: number;
  if_exceeded?: "warn" | "by_latitude";
  /**
   * One round length for all sheets of a scale, or the longest for each sheet.
   */
  fitted?: "book" | "sheet";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "north_arrow_element".
 */
export interface NorthArrowElement {
  kind: "north_arrow";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  frame?: Id;
  colour?: Colour;
  /**
   * Which north it points to.
   */
  north?: "grid" | "true" | "magnetic";
  /**
   * One of the shipped drawings.
   */
  form?: string;
  drawing?: Id;
  picture?: Id;
  /**
   * At its tip; that of the book's language where none is given, empty for none.
   */
  letter?: string;
  /**
   * North of the frame's middle, or of the place nearest to the arrow.
   */
  at?: "frame" | "here";
  face?: Id;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "legend_element".
 */
export interface LegendElement {
  kind: "legend";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  fill?: Fill;
  gradient?: Gradient;
  shadow?: Shadow;
  corner_mm?: LengthMm;
  /**
   * Each corner's own radius: upper left, upper right, lower right, lower left.
   */
  corners_mm?: LengthMm[];
  continues?: Id;
  /**
   * What the sheet shows, what any sheet of the book shows, or the rows alone that are listed.
   */
  content?: "sheet" | "book" | "hand";
  frame?: Id;
  /**
   * The layers that it explains; without them all.
   */
  layers?: Id[];
  /**
   * Above the rows of a legend that nobody has arranged.
   */
  headings?: "none" | "layers" | "groups";
  /**
   * As they were arranged by hand.
   */
  rows?: LegendRow[];
  /**
   * Above all rows, with live text.
   */
  legend_title?: string;
  /**
   * Height of a row of one line.
   */
  pitch_mm?: number;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
  title_face?: Id;
  title_pt?: SizePt;
  heading_face?: Id;
  heading_pt?: SizePt;
  /**
   * Above a heading, and below the title.
   */
  heading_gap_mm?: number;
  note_face?: Id;
  note_pt?: SizePt;
  minimum_pt?: SizePt;
  sample_width_mm?: number;
  sample_height_mm?: number;
  /**
   * Between a sample and the words beside it.
   */
  label_gap_mm?: number;
  area_sample?: "rectangle" | "irregular_area" | "own";
  line_sample?: "straight" | "bent" | "winding";
  sample_drawing?: Id;
  columns?: number;
  /**
   * Up to how many columns it may have where its rows do not fit.
   */
  most_columns?: number;
  column_gap_mm?: number;
  padding_mm?: LengthMm;
  stroke?: Stroke;
  /**
   * It takes up what its rows need, from this corner of its box and no further than that.
   */
  grows_from?: "top left" | "top right" | "bottom left" | "bottom right";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "entry_legend_row".
 */
export interface EntryLegendRow {
  id?: Id;
  kind: "entry";
  shown_on?: ShownOn;
  /**
   * What of the map it stands for: the layer's id and the rule's, with a slash between them.
   */
  of: string[];
  /**
   * In place of what the map calls it, in this legend alone.
   */
  title?: string;
  /**
   * Not listed; the map draws it all the same.
   */
  hidden?: boolean;
  /**
   * In place of the legend's own for its shape.
   */
  sample?: "rectangle" | "irregular_area" | "own" | "straight" | "bent" | "winding";
  bar?: LegendBar;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "legend_bar".
 */
export interface LegendBar {
  direction?: "level" | "upright";
  length_mm?: number;
  thickness_mm?: number;
  /**
   * The values that are labelled; without any, its two ends.
   */
  labels?: number[];
  decimals?: number;
  /**
   * In place of the ramp's own.
   */
  unit?: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "heading_legend_row".
 */
export interface HeadingLegendRow {
  id?: Id;
  kind: "heading";
  shown_on?: ShownOn;
  title: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "note_legend_row".
 */
export interface NoteLegendRow {
  id?: Id;
  kind: "note";
  shown_on?: ShownOn;
  text: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "own_legend_row".
 */
export interface OwnLegendRow {
  id?: Id;
  kind: "own";
  shown_on?: ShownOn;
  title: string;
  /**
   * Of what the symbol is drawn.
   */
  shape?: "point" | "line" | "area";
  symbol?: MapSymbol;
  /**
   * In place of the legend's own for its shape.
   */
  sample?: "rectangle" | "irregular_area" | "own" | "straight" | "bent" | "winding";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "steps_legend_row".
 */
export interface StepsLegendRow {
  id?: Id;
  kind: "steps";
  shown_on?: ShownOn;
  /**
   * The classes of the map, each by its layer's id and its own.
   */
  of: string[];
  title?: string;
  hidden?: boolean;
  labels?: "limits" | "ranges" | "titles";
  decimals?: number;
  unit?: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "grid_legend_row".
 */
export interface GridLegendRow {
  id?: Id;
  kind: "grid";
  shown_on?: ShownOn;
  grid?: Id;
  /**
   * In place of "Grid", or what the book's language has for it.
   */
  title?: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "neatline_element".
 */
export interface NeatlineElement {
  kind: "neatline";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  stroke?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "table_element".
 */
export interface TableElement {
  kind: "table";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  continues?: Id;
  columns: TableColumn[];
  /**
   * Cells written by hand, with live text, a list a row.
   */
  rows?: string[][];
  layer?: Id;
  /**
   * Lists the sheets of the book, or all its pages, in place of rows by hand: see Table::Contents.
   */
  contents?: "none" | "sheets" | "pages";
  /**
   * Those that the sheet shows, or all.
   */
  records?: "sheet" | "book";
  when?: Condition;
  sorted_by?: TableSorting[];
  /**
   * Above it, with live text.
   */
  caption?: string;
  /**
   * What stands in it where there are no rows.
   */
  empty?: string;
  /**
   * Are the columns' titles shown?
   */
  heads?: boolean;
  face?: Id;
  head_face?: Id;
  size_pt?: SizePt;
  minimum_pt?: SizePt;
  colour?: Colour;
  line_height?: number;
  /**
   * In each cell.
   */
  padding_mm?: number;
  rule?: Stroke;
  head_fill?: Fill;
  band_fill?: Fill;
  stroke?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "table_column".
 */
export interface TableColumn {
  id?: Id;
  /**
   * At its head.
   */
  title?: string;
  /**
   * Of a layer's records.
   */
  field?: string;
  /**
   * Of numbers; as they are where it is not given.
   */
  decimals?: number;
  /**
   * Behind each number.
   */
  unit?: string;
  /**
   * Columns without one share the rest of the width.
   */
  width_mm?: number;
  align?: "left" | "centre" | "right";
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "table_sorting".
 */
export interface TableSorting {
  field: string;
  descending?: boolean;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "line_element".
 */
export interface LineElement {
  kind: "line";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  stroke?: Stroke;
  slope?: "down" | "up";
  /**
   * Places that it goes through, as shares of its box from the upper left.
   */
  points?: [number, number][];
  /**
   * Does it go through its places in a curve?
   */
  smooth?: boolean;
  /**
   * What it begins with.
   */
  first_end?: "head" | "swept" | "open" | "dot" | "cross_bar";
  /**
   * What it ends in.
   */
  last_end?: "head" | "swept" | "open" | "dot" | "cross_bar";
  /**
   * Size of what it begins with and ends in.
   */
  end_mm?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "box_element".
 */
export interface BoxElement {
  kind: "box";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  fill?: Fill;
  gradient?: Gradient;
  shadow?: Shadow;
  corner_mm?: LengthMm;
  /**
   * Each corner's own radius: upper left, upper right, lower right, lower left.
   */
  corners_mm?: LengthMm[];
  stroke?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "ellipse_element".
 */
export interface EllipseElement {
  kind: "ellipse";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  fill?: Fill;
  gradient?: Gradient;
  shadow?: Shadow;
  stroke?: Stroke;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "picture_element".
 */
export interface PictureElement {
  kind: "picture";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  drawing?: Id;
  colour?: Colour;
  picture?: Id;
  /**
   * A picture whole inside its box, or filling it and cut by it.
   */
  fit?: "inside" | "fill";
  /**
   * What it shows, for those who do not see it.
   */
  alternative?: string;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "index_frame_element".
 */
export interface IndexFrameElement {
  kind: "index_frame";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  border?: Border;
  grids?: Grid[];
  look?: Id;
  /**
   * Of the layers: all that are shown, only areas and rasters, or none.
   */
  layers?: "all" | "areas" | "none";
  /**
   * With the labels of its layers?
   */
  labels?: boolean;
  shape?: {
    kind?: "rectangle" | "rounded" | "ellipse" | "polygon";
    corner_mm?: LengthMm;
    /**
     * Corners of a polygon, as shares of the box's width and height.
     */
    points?: [number, number][];
  };
  fill?: Fill;
  shadow?: Shadow;
  cells?: CellsShown;
  veil?: Veil;
  /**
   * The ground of other frames of the page, shown in this one.
   */
  outlines?: FrameOutline[];
  extent?: Extent;
  /**
   * "book", or another CRS.
   */
  crs?: string;
  globe?: Globe;
  /**
   * By which it is known in the frames that show its outline.
   */
  letter?: string;
  letter_pt?: SizePt;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "adjoining_element".
 */
export interface AdjoiningElement {
  kind: "adjoining";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "locator_element".
 */
export interface LocatorElement {
  kind: "locator";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  border?: Border;
  grids?: Grid[];
  look?: Id;
  layers?: "all" | "areas" | "none";
  labels?: boolean;
  shape?: {
    kind?: "rectangle" | "rounded" | "ellipse" | "polygon";
    corner_mm?: LengthMm;
    /**
     * Corners of a polygon, as shares of the box's width and height.
     */
    points?: [number, number][];
  };
  fill?: Fill;
  shadow?: Shadow;
  cells?: CellsShown;
  veil?: Veil;
  /**
   * The ground of other frames of the page, shown in this one.
   */
  outlines?: FrameOutline[];
  extent?: Extent;
  /**
   * "book", or another CRS.
   */
  crs?: string;
  globe?: Globe;
  /**
   * By which it is known in the frames that show its outline.
   */
  letter?: string;
  letter_pt?: SizePt;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "north_diagram_element".
 */
export interface NorthDiagramElement {
  kind: "north_diagram";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  frame?: Id;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "grid_note_element".
 */
export interface GridNoteElement {
  kind: "grid_note";
  id: Id;
  place: Place;
  /**
   * What it is called where it is designed.
   */
  title?: string;
  /**
   * Clockwise about the middle of its box.
   */
  rotation_deg?: number;
  hidden?: boolean;
  shown_on?: ShownOn;
  /**
   * A locked element does not respond to editing.
   */
  locked?: boolean;
  group?: Id;
  fill?: Fill;
  gradient?: Gradient;
  shadow?: Shadow;
  corner_mm?: LengthMm;
  /**
   * Each corner's own radius: upper left, upper right, lower right, lower left.
   */
  corners_mm?: LengthMm[];
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
  align?: "left" | "centre" | "right" | "justify";
  anchor?: "top" | "middle" | "bottom";
  tracking_pt?: number;
  line_height?: number;
  minimum_pt?: SizePt;
  /**
   * Has it tags for its looks: b, i, u, s, sup, sub, span, p, br, ul, ol and li, as in HTML?
   */
  markup?: boolean;
  paragraph_gap_mm?: number;
  /**
   * Of the first line of each paragraph.
   */
  first_indent_mm?: number;
  indent_mm?: number;
  right_indent_mm?: number;
  tabs?: TabStop[];
  columns?: number;
  column_gap_mm?: number;
  /**
   * May words be broken at line ends, as the book's language has it?
   */
  hyphenate?: boolean;
  padding_mm?: LengthMm;
  stroke?: Stroke;
  grid?: Id;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "index_pages".
 */
export interface IndexPages {
  /**
   * Before the sheets, or behind them.
   */
  place?: "first" | "last";
  /**
   * Parts side by side.
   */
  across?: number;
  /**
   * Parts below one another.
   */
  down?: number;
  /**
   * Does it count among the numbers that pages print?
   */
  numbered?: boolean;
}
/**
 * A page beside the sheets, with its own design.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "free_page".
 */
export interface FreePage {
  id: Id;
  title: string;
  /**
   * First of all; behind the index sheet, before the first sheet; before a sheet; behind all.
   */
  place?: "front" | "before_sheets" | "before_sheet" | "back";
  /**
   * The name of the sheet that it stands before.
   */
  sheet?: string;
  /**
   * On a right-hand (odd) or left-hand (even) page; an empty page comes before it where needed.
   */
  starts?: "anywhere" | "right" | "left";
  /**
   * Does it count among the numbers that pages print?
   */
  numbered?: boolean;
  layout: Layout;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "index".
 */
export interface Index {
  /**
   * Rows and columns; frames along a line; a sheet for each feature; cells from polygons drawn elsewhere.
   */
  kind: "grid" | "strip" | "features" | "layer";
  /**
   * What the index covers: the id of a layer, or parts together.
   */
  area: Id | AreaPart[];
  buffer?: GroundLength;
  scale: Scale;
  /**
   * Where the scale is true: the map plane (projection), or the ellipsoid at the sheet's centre.
   */
  held?: "projection" | "ellipsoid";
  /**
   * How much neighbours overlap, each way its own: "8 mm" on paper, "5 %" of the frame, "20 m" of ground; of a strip, x is along the line.
   */
  overlap?: {
    x?: Overlap;
    y?: Overlap;
  };
  overlap_mm?: number;
  /**
   * Grid: which cells stay: those that touch the area, that hold at least this share of area, or all.
   */
  keep?: ("touching" | "all") | number;
  /**
   * Grid: neighbours are so far apart on the ground, each way its own, whatever the frame shows; in place of an overlap.
   */
  spacing?: {
    x?: GroundLength;
    y?: GroundLength;
  };
  /**
   * Grid: sheet corners on multiples of a ground length, or a corner at a point of the reference; without it the grid is centred on the area.
   */
  origin?:
    | {
        kind: "round";
        multiple: GroundLength;
      }
    | {
        kind: "point";
        x: number;
        y: number;
      };
  /**
   * Grid: clockwise in degrees, or "align", as the area lies.
   */
  rotation_deg?: "align" | number;
  /**
   * Grid: look for the place (and the turn) at which the fewest sheets cover.
   */
  fewest?: "moved" | "turned";
  /**
   * Strip: how far the line stays inside the frame's sides.
   */
  clearance_mm?: number;
  /**
   * Strip: how far frames may be rotated either way.
   */
  maximum_rotation_deg?: number;
  /**
   * Strip: frames turned one sense, so that north is up on as many as can be, or so that all are read along the route.
   */
  upward?: "north" | "route";
  gap_tolerance?: GroundLength;
  /**
   * Strip: followed the other way.
   */
  reverse?: boolean;
  /**
   * Sheets by feature: their scale.
   */
  scale_rule?: {
    kind: "fixed" | "fit" | "standard_scales" | "field";
    margin?: Overlap;
    standard_scales?: Scale[];
    field?: string;
  };
  /**
   * Sheets by feature: about the middle of the extent, or of the largest circle inside.
   */
  centre?: "extent" | "inner";
  /**
   * Sheets by feature: several for one that is larger than the frame.
   */
  several?: boolean;
  /**
   * From a layer: where the scale is.
   */
  scale_field?: string;
  /**
   * From a layer: where the rotation in degrees is.
   */
  rotation_field?: string;
  /**
   * From a layer: which way its rotation counts from north up.
   */
  rotation_sense?: "clockwise" | "counter_clockwise";
  naming?: {
    /**
     * By column and row, by number, or by a field of the feature.
     */
    kind?: "places" | "numbers" | "field";
    columns?: "letters" | "numbers";
    rows?: "numbers" | "letters";
    first?: "column" | "row";
    separator?: string;
    rows_from?: "north" | "south";
    digits?: number;
    prefix?: string;
    /**
     * The letters I and O are left out.
     */
    without_io?: boolean;
    field?: string;
  };
  order?: {
    kind:
      | "rows"
      | "columns"
      | "rows_back_forth"
      | "columns_back_forth"
      | "clockwise"
      | "counter_clockwise"
      | "as_generated"
      | "names"
      | "field"
      | "by_hand";
    /**
     * By which field of the features the cells are taken, naturally.
     */
    field?: string;
    from?: "north_west" | "north_east" | "south_west" | "south_east";
    /**
     * Going round begins at this bearing from the middle.
     */
    start_deg?: number;
  };
  by_hand?: CellsByHand;
}
/**
 * A layer (all of it, the features that meet a condition, or those of these identities), or a polygon drawn by hand as [x, y] corners in the book's reference.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "areaPart".
 */
export interface AreaPart {
  id?: Id;
  layer?: Id;
  when?: Condition;
  features?: number[];
  polygon?: [number, number][];
}
/**
 * What was done to single cells by hand.
 *
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "cells_by_hand".
 */
export interface CellsByHand {
  /**
   * Cells that are not as they are generated.
   */
  cells?: CellByHand[];
  /**
   * Names of generated cells that are not in the book.
   */
  gone?: string[];
  /**
   * Width and height of the frame that the cells were generated for, where it is another by now.
   *
   * @minItems 2
   * @maxItems 2
   */
  frame_mm?: [number, number];
  /**
   * Layers of the study area of which newer data came since the cells were generated.
   */
  data_since?: Id[];
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "cell_by_hand".
 */
export interface CellByHand {
  /**
   * By which the cell is meant as long as it is there.
   */
  id?: number;
  /**
   * The name of the generated cell in whose place it is; without it, it is a cell more.
   */
  of?: string;
  name: string;
  row: number;
  column: number;
  scale: Scale;
  /**
   * In the book's CRS.
   *
   * @minItems 2
   * @maxItems 2
   */
  centre: [number, number];
  /**
   * Width and height in units of the book's CRS.
   *
   * @minItems 2
   * @maxItems 2
   */
  size: [number, number];
  /**
   * Clockwise on the ground.
   */
  rotation_deg?: number;
  /**
   * The number of the feature that it was made for.
   */
  feature?: number;
  /**
   * It stayed where it was when the frame or the data changed.
   */
  kept?: boolean;
  /**
   * Rebuilding the index leaves it alone.
   */
  pinned?: boolean;
  /**
   * It was placed by hand.
   */
  moved?: boolean;
  /**
   * Its place in the order of the book, where that is not what follows from the others.
   */
  place?: number;
}
/**
 * This interface was referenced by `BookDocument`'s JSON-Schema
 * via the `definition` "scaleBarStyle".
 */
export interface ScaleBarStyle {
  style?:
    | "chequered"
    | "double_chequered"
    | "outline"
    | "ticked_line"
    | "stepped"
    | "tapered"
    | "fraction_alone"
    | "two_units";
  /**
   * Between the rows of a double bar.
   */
  gap_mm?: number;
  /**
   * Of the line: up, down or through it.
   */
  ticks?: "up" | "down" | "through";
  /**
   * A family changes to its larger unit where the bar is at least one of it long.
   */
  units?:
    | "metric"
    | "imperial"
    | "survey"
    | "yards"
    | "nautical"
    | "m"
    | "km"
    | "ft"
    | "us-ft"
    | "yd"
    | "mi"
    | "nmi"
    | "paces"
    | "minutes";
  /**
   * A second bar below, from the same zero.
   */
  second_units?:
    | "metric"
    | "imperial"
    | "survey"
    | "yards"
    | "nautical"
    | "m"
    | "km"
    | "ft"
    | "us-ft"
    | "yd"
    | "mi"
    | "nmi"
    | "paces"
    | "minutes";
  /**
   * Length of a pace (common practice).
   */
  pace_m?: number;
  /**
   * Kilometres an hour, for minutes of walking (common practice).
   */
  walk_kmh?: number;
  /**
   * To the right of zero; as many as are round where none are given.
   */
  divisions?: number;
  /**
   * A fixed length with its unit, such as 100 m; else the longest round one that fits.
   */
  division_length?: string;
  /**
   * Subdivisions to the left of zero.
   */
  extension?: number;
  /**
   * Shorter than this it is refused; 5 mm where nothing is said.
   */
  minimum_mm?: number;
  maximum_mm?: number;
  height_mm?: number;
  tick_mm?: number;
  /**
   * Between the bars of two units.
   */
  bars_gap_mm?: number;
  labelled?: "all" | "alternate" | "ends" | "none";
  labels_at?: "above" | "below";
  label_gap_mm?: number;
  /**
   * As many as the values need where none are given.
   */
  decimals?: number;
  thousands?: "language" | "comma" | "thin" | "point" | "none";
  unit_at?: "last" | "middle" | "none";
  /**
   * The unit's own symbol where nothing is given.
   */
  unit_text?: string;
  /**
   * The representative fraction.
   */
  fraction?: "none" | "above" | "below";
  /**
   * The scale in a sentence.
   */
  verbal?: "none" | "above" | "below";
  verbal_units?: "metric" | "imperial";
  align?: "left" | "centre" | "right";
  light?: Colour;
  stroke_mm?: number;
  halo?: Halo;
  backing?: Fill;
  face?: Id;
  size_pt?: SizePt;
  colour?: Colour;
}
