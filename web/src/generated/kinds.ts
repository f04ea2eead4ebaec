// Made by bin/generate out of what the core declares. Do not edit.

export const elements = [
  ["map_frame", "Map frame"],
  ["inset", "Inset"],
  ["text", "Text"],
  ["scale_bar", "Scale bar"],
  ["north_arrow", "North arrow"],
  ["legend", "Legend"],
  ["neatline", "Neatline"],
  ["table", "Table"],
  ["line", "Line"],
  ["box", "Box"],
  ["ellipse", "Ellipse"],
  ["picture", "Picture"],
  ["index_frame", "Index frame"],
  ["adjoining", "Adjoining sheets"],
  ["locator", "Locator"],
  ["north_diagram", "Declination diagram"],
  ["grid_note", "Note on a grid"],
] as const;
export const barStyles = [
  ["chequered", "Chequered"],
  ["double_chequered", "Double chequered"],
  ["outline", "Outline"],
  ["ticked_line", "Ticked line"],
  ["stepped", "Stepped"],
  ["tapered", "Tapered"],
  ["fraction_alone", "Fraction alone"],
  ["two_units", "Two units"],
] as const;
export const gridLooks = [
  ["lines", "Lines"],
  ["crosses", "Crosses"],
  ["ticks", "Ticks"],
  ["dots", "Dots"],
  ["squares", "Squares"],
] as const;
export const borders = [
  ["plain", "Plain"],
  ["ticked", "Ticked"],
  ["double", "Double"],
  ["banded", "Banded"],
] as const;
export const indexKinds = [
  ["grid", "Grid"],
  ["strip", "Strip"],
  ["features", "Sheets by feature"],
  ["layer", "Cells of a layer"],
] as const;
export const layerKinds = [
  ["point", "point"],
  ["line", "line"],
  ["area", "area"],
  ["mixed", "shape"],
] as const;
export const classBreaks = [
  ["equal", "equal widths"],
  ["quantile", "equal counts"],
  ["natural", "natural breaks (Jenks)"],
  ["round", "round numbers"],
] as const;
export const layerFormats = [
  ["geojson", "GeoJSON"],
  ["gpkg", "GeoPackage"],
  ["shp", "Shapefile"],
] as const;
export const cellFormats = [
  ["geojson", "GeoJSON"],
  ["gpkg", "GeoPackage"],
  ["shp", "Shapefile"],
  ["csv", "CSV"],
] as const;
export const forms = [
  ["pdf_book", "one PDF"],
  ["pdf_sheets", "one PDF per sheet"],
  ["images", "one image per sheet"],
  ["svg_sheets", "one SVG per sheet"],
  ["ground", "map tiles"],
  ["imposed", "an imposed PDF"],
] as const;
export const rasterLooks = [
  ["picture", "Picture"],
  ["classes", "Classes"],
  ["ramp", "Colour ramp"],
  ["shading", "Shading"],
] as const;
export const lineEnds = [
  ["head", "Filled arrowhead"],
  ["swept", "Swept arrowhead"],
  ["open", "Open arrowhead"],
  ["dot", "Dot"],
  ["cross_bar", "Bar across"],
] as const;
export const legendRows = [
  ["entry", "Entry"],
  ["heading", "Heading"],
  ["note", "Note"],
  ["own", "Own entry"],
  ["steps", "Joined steps"],
  ["grid", "Grid"],
] as const;
export const extents = [
  ["whole_index", "The whole index"],
  ["sheet", "Round this sheet"],
  ["neighbours", "This sheet and its neighbours"],
  ["fixed", "A fixed place"],
  ["features", "Features"],
  ["detail", "A detail of another frame"],
] as const;
export const areaSamples = [
  ["rectangle", "Rectangle"],
  ["irregular_area", "Irregular area"],
  ["own", "Own shape"],
] as const;
export const lineSamples = [
  ["straight", "Straight"],
  ["bent", "Bent"],
  ["winding", "Winding"],
] as const;
export const lengthUnits = [
  ["mm", "millimetre"],
  ["in", "inch"],
  ["pt", "point"],
  ["m", "metre"],
  ["km", "kilometre"],
  ["ft", "international foot"],
  ["us-ft", "US survey foot"],
  ["yd", "yard"],
  ["mi", "statute mile"],
  ["nmi", "nautical mile"],
] as const;
export const crsUnits = [
  ["m", "metres"],
  ["ft", "international feet"],
  ["us-ft", "US survey feet"],
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
export const pressProfiles = [["coated", "Coated paper, offset (FOGRA39L)"]] as const;
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
    about: "All sheets in one file, with bookmarks, page labels and links.",
    fileName: "{{ book.title }}",
    pdf: true,
  },
  pdf_sheets: {
    about: "A file of each sheet; links lead from one to the next as long as they lie side by side.",
    fileName: "{{ book.title }}_{{ sheet.name }}",
    pdf: true,
  },
  images: {
    about: "A raster image of each sheet, or of its map frame alone; georeferenced if wanted.",
    fileName: "{{ book.title }}_{{ sheet.name }}",
    pdf: false,
  },
  svg_sheets: {
    about: "A drawing of each sheet for a browser or a drawing program; layers are groups.",
    fileName: "{{ book.title }}_{{ sheet.name }}",
    pdf: false,
  },
  ground: {
    about: "What the sheets show, without frames, as one picture of tiles for a phone or a tablet.",
    fileName: "{{ book.title }}",
    pdf: false,
  },
  imposed: {
    about: "Several sheets on one, a booklet to fold, or a large sheet in parts over small paper.",
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
