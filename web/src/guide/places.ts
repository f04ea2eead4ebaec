/** The chapters of the guide in their order: file (docs/guide/NAME.md) and title. */
export const CHAPTERS = [
  ["ideas", "The ideas behind a map book"],
  ["first-book", "A first book in ten minutes"],
  ["ground", "Ground: data, CRS, symbols and labels"],
  ["sheet", "Sheet: the page of every cell"],
  ["weave", "Weave: the index of sheets"],
  ["proof", "Proof: looking before printing"],
  ["press", "Press: PDF, images and data"],
  ["season", "Data that change, people who share"],
  ["command-line", "The command line"],
  ["conditions", "Conditions by example"],
  ["server", "Running the server"],
  ["glossary", "Glossary, and messages explained"],
] as const;

/** Where a part of the interface is explained: chapter.section, a heading of it as GitHub makes anchors. */
export const PLACES = {
  layers: "ground.layers",
  layer: "ground.one-layer",
  arrival: "ground.what-can-be-imported",
  area: "ground.study-area",
  crs: "ground.coordinate-reference-system",
  page: "sheet.page-and-binding",
  newPage: "sheet.covers-contents-and-other-pages",
  designs: "sheet.designs",
  element: "sheet.elements",
  text: "sheet.live-text",
  legend: "sheet.legend",
  scaleBar: "sheet.scale-bars",
  north: "sheet.north",
  frame: "sheet.map-frame-insets-and-details",
  grid: "sheet.grids-and-graticules",
  palette: "press.palette-and-spot-colours",
  format: "press.formats",
  proof: "proof.a-sheet-on-proof",
  coverage: "weave.coverage",
  cell: "weave.one-cell",
  index: "weave.kinds-of-index",
  history: "season.history-and-undo",
  names: "weave.names-and-order",
} as const;

/** A part of the interface that the guide explains. */
export type Place = keyof typeof PLACES;
