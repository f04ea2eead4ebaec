// Made by bin/generate out of what the core declares. Do not edit.

import { t } from "../texts/t";

export const elements = [
  ["map_frame", t("Map frame")],
  ["inset", t("Inset")],
  ["text", t("Text")],
  ["scale_bar", t("Scale bar")],
  ["north_arrow", t("North arrow")],
  ["legend", t("Legend")],
  ["neatline", t("Neatline")],
  ["table", t("Table")],
  ["line", t("Line")],
  ["box", t("Box")],
  ["ellipse", t("Ellipse")],
  ["picture", t("Picture")],
  ["index_frame", t("Index frame")],
  ["adjoining", t("Adjoining sheets")],
  ["locator", t("Locator")],
  ["north_diagram", t("Declination diagram")],
  ["grid_note", t("Note on a grid")],
] as const;
export const barStyles = [
  ["chequered", t("chequered")],
  ["double_chequered", t("double chequered")],
  ["outline", t("outline")],
  ["ticked_line", t("ticked line")],
  ["stepped", t("stepped")],
  ["tapered", t("tapered")],
  ["fraction_alone", t("fraction alone")],
  ["two_units", t("two units")],
] as const;
export const gridLooks = [
  ["lines", t("lines")],
  ["crosses", t("crosses")],
  ["ticks", t("ticks")],
  ["dots", t("dots")],
  ["squares", t("squares")],
] as const;
export const borders = [
  ["plain", t("plain")],
  ["ticked", t("ticked")],
  ["double", t("double")],
  ["banded", t("banded")],
] as const;
export const indexKinds = [
  ["grid", t("Grid")],
  ["strip", t("Strip")],
  ["features", t("Sheets by feature")],
  ["layer", t("Cells of a layer")],
] as const;
export const layerKinds = [
  ["point", t("point")],
  ["line", t("line")],
  ["area", t("area")],
  ["mixed", t("shape")],
] as const;
export const classBreaks = [
  ["equal", t("equal widths")],
  ["quantile", t("equal counts")],
  ["natural", t("natural breaks (Jenks)")],
  ["round", t("round numbers")],
] as const;
export const layerFormats = [
  ["geojson", t("GeoJSON")],
  ["gpkg", t("GeoPackage")],
  ["shp", t("Shapefile")],
] as const;
export const cellFormats = [
  ["geojson", t("GeoJSON")],
  ["gpkg", t("GeoPackage")],
  ["shp", t("Shapefile")],
  ["csv", t("CSV")],
] as const;
export const forms = [
  ["pdf_book", t("one PDF")],
  ["pdf_sheets", t("one PDF per sheet")],
  ["images", t("one image per sheet")],
  ["svg_sheets", t("one SVG per sheet")],
  ["ground", t("map tiles")],
  ["imposed", t("an imposed PDF")],
] as const;
export const rasterLooks = [
  ["picture", t("image")],
  ["classes", t("classes")],
  ["ramp", t("colour ramp")],
  ["shading", t("shading")],
] as const;
export const lineEnds = [
  ["head", t("filled arrowhead")],
  ["swept", t("swept arrowhead")],
  ["open", t("open arrowhead")],
  ["dot", t("dot")],
  ["cross_bar", t("bar across")],
] as const;
export const legendRows = [
  ["entry", t("Entry")],
  ["heading", t("Heading")],
  ["note", t("Note")],
  ["own", t("Own entry")],
  ["steps", t("Joined steps")],
  ["grid", t("Grid")],
] as const;
export const extents = [
  ["whole_index", t("the whole index")],
  ["sheet", t("around this sheet")],
  ["neighbours", t("this sheet and its neighbours")],
  ["fixed", t("a fixed place")],
  ["features", t("features")],
  ["detail", t("a detail of another frame")],
] as const;
export const areaSamples = [
  ["rectangle", t("rectangle")],
  ["irregular_area", t("irregular area")],
  ["own", t("own shape")],
] as const;
export const lineSamples = [
  ["straight", t("straight")],
  ["bent", t("bent")],
  ["winding", t("winding")],
] as const;
export const lengthUnits = [
  ["mm", t("millimetre")],
  ["in", t("inch")],
  ["pt", t("point")],
  ["m", t("metre")],
  ["km", t("kilometre")],
  ["ft", t("international foot")],
  ["us-ft", t("US survey foot")],
  ["yd", t("yard")],
  ["mi", t("statute mile")],
  ["nmi", t("nautical mile")],
] as const;
export const crsUnits = [
  ["m", t("metres")],
  ["ft", t("international feet")],
  ["us-ft", t("US survey feet")],
] as const;
export const languages = [
  ["en", "English"],
  ["de", "Deutsch"],
  ["fr", "français"],
  ["es", "español"],
  ["pt", "português"],
  ["pt-PT", "português (Portugal)"],
  ["it", "italiano"],
  ["nl", "Nederlands"],
  ["sv", "svenska"],
  ["nb", "norsk bokmål"],
  ["da", "dansk"],
  ["fi", "suomi"],
  ["pl", "polski"],
  ["cs", "čeština"],
  ["el", "ελληνικά"],
] as const;
export const pressProfiles = [["coated", t("Coated paper, offset (FOGRA39L)")]] as const;
export const elementTraits = {
  map_frame: { sizeMm: [40, 20], turns: false, gridded: true, roles: [] },
  inset: { sizeMm: [60, 45], turns: false, gridded: true, roles: ["sheets", "index", "pages"] },
  text: { sizeMm: [50, 8], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  scale_bar: { sizeMm: [60, 9], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  north_arrow: { sizeMm: [18, 22], turns: false, gridded: false, roles: ["sheets", "index", "pages"] },
  legend: { sizeMm: [50, 80], turns: false, gridded: false, roles: ["sheets", "index", "pages"] },
  neatline: { sizeMm: [100, 80], turns: false, gridded: false, roles: ["sheets", "index", "pages"] },
  table: { sizeMm: [90, 60], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  line: { sizeMm: [40, 0], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  box: { sizeMm: [40, 25], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  ellipse: { sizeMm: [30, 30], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  picture: { sizeMm: [20, 20], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  index_frame: { sizeMm: [40, 20], turns: false, gridded: true, roles: [] },
  adjoining: { sizeMm: [36, 27], turns: false, gridded: false, roles: ["sheets"] },
  locator: { sizeMm: [45, 35], turns: false, gridded: true, roles: ["sheets"] },
  north_diagram: { sizeMm: [34, 44], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
  grid_note: { sizeMm: [50, 4], turns: true, gridded: false, roles: ["sheets", "index", "pages"] },
} as const;
export const layerKindTraits = {
  point: { markers: true, strokes: false, fills: false },
  line: { markers: false, strokes: true, fills: false },
  area: { markers: false, strokes: true, fills: true },
  mixed: { markers: true, strokes: true, fills: true },
} as const;
export const formTraits = {
  pdf_book: {
    about: t("All sheets in one file, with bookmarks, page labels and links."),
    fileName: "{{ book.title }}",
    pdf: true,
  },
  pdf_sheets: {
    about: t("A file of each sheet; links lead from one to the next as long as they lie side by side."),
    fileName: "{{ book.title }}_{{ sheet.name }}",
    pdf: true,
  },
  images: {
    about: t("A raster image of each sheet, or of its map frame alone; georeferenced if wanted."),
    fileName: "{{ book.title }}_{{ sheet.name }}",
    pdf: false,
  },
  svg_sheets: {
    about: t("A drawing of each sheet for a browser or a drawing program; layers are groups."),
    fileName: "{{ book.title }}_{{ sheet.name }}",
    pdf: false,
  },
  ground: {
    about: t("The map without frames, as tiles for a phone or a tablet."),
    fileName: "{{ book.title }}",
    pdf: false,
  },
  imposed: {
    about: t("Several sheets per page, a booklet to fold, or a large sheet tiled over small paper."),
    fileName: "{{ book.title }}_imposed",
    pdf: true,
  },
} as const;
export const pageSizes = [
  "A0",
  "A1",
  "A2",
  "A3",
  "A4",
  "A5",
  "A6",
  "B0",
  "B1",
  "B2",
  "B3",
  "B4",
  "B5",
  "B6",
  "ANSI A",
  "ANSI B",
  "ANSI C",
  "ANSI D",
  "ANSI E",
  "ARCH A",
  "ARCH B",
  "ARCH C",
  "ARCH D",
  "ARCH E",
] as const;
export const pageDesigns = ["back-cover", "contents", "cover", "notes", "title-page"] as const;
export const languageStandIns = { no: "nb", nn: "nb" } as const;
export const standardScales = [
  100, 200, 250, 500, 1000, 1250, 2000, 2500, 4000, 5000, 10000, 12500, 20000, 25000, 50000, 100000, 250000, 500000,
  1000000, 2500000, 5000000, 10000000, 25000000, 50000000,
] as const;
export const contentsFields = ["name", "number", "page", "row", "column", "scale"] as const;
export const dataFormats = [
  "GeoJSON",
  "TopoJSON",
  "GeoPackage",
  "zipped Shapefile",
  "KML",
  "GML",
  "FlatGeobuf",
  "GPX",
  "DXF",
  "CSV",
] as const;
export const dataEndings = [
  ".geojson",
  ".json",
  ".topojson",
  ".gpkg",
  ".zip",
  ".kml",
  ".kmz",
  ".gml",
  ".fgb",
  ".gpx",
  ".dxf",
  ".csv",
] as const;
export const pixelFormats = ["ASCII grid", "GeoTIFF", "GeoPackage", "JPEG 2000", "JPEG", "MBTiles", "PNG"] as const;
export const pixelEndings = [
  ".asc",
  ".tif",
  ".tiff",
  ".gpkg",
  ".jp2",
  ".j2k",
  ".jpx",
  ".jpg",
  ".jpeg",
  ".mbtiles",
  ".png",
] as const;
export const besideEndings = [
  ".tfw",
  ".tifw",
  ".tiffw",
  ".pgw",
  ".pngw",
  ".jgw",
  ".jpgw",
  ".jpegw",
  ".j2w",
  ".jp2w",
  ".wld",
  ".prj",
  ".xml",
  ".aux",
] as const;
export const cellEndings = [".geojson", ".json", ".gpkg", ".zip", ".csv"] as const;
export const identifiedLists = [
  "abbreviations",
  "area",
  "classes",
  "columns",
  "fields",
  "labels",
  "labels_by_hand",
  "looks",
  "orders",
  "outlines",
  "palette",
  "rows",
  "rules",
] as const;
