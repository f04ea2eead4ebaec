// Made by bin/generate out of docs/book.schema.json. Do not edit.

// What parts of the book document choose from, with its titles, by the names of both.
export const choices = {
  layer: {
    blend: [
      ["normal", "normal"],
      ["multiply", "multiply"],
    ],
    match: [
      ["first", "the first matching rule"],
      ["all", "all matching rules, first at the bottom"],
    ],
    label_match: [
      ["first", "the first matching rule"],
      ["all", "all matching rules"],
    ],
  },
  layer_data: {
    taken_as: [
      ["picture", "a picture"],
      ["classes", "classes, such as land cover"],
      ["values", "heights or other values"],
    ],
  },
  label_rule: {
    letter_case: [
      ["as_written", "as written"],
      ["capitals", "CAPITALS"],
      ["small", "small letters"],
      ["each_word", "Each Word Capitalised"],
    ],
  },
  label_backing: {
    shape: [
      ["box", "box"],
      ["rounded", "box with round corners"],
      ["ellipse", "ellipse"],
      ["hexagon", "hexagon"],
      ["shield", "shield"],
    ],
  },
  stroke: {
    cap: [
      ["butt", "flat"],
      ["round", "round"],
      ["square", "square"],
    ],
    join: [
      ["round", "round"],
      ["miter", "sharp"],
      ["bevel", "cut"],
    ],
  },
  label_point_places: {
    positions: [
      ["upper_left", "upper left"],
      ["above", "above"],
      ["upper_right", "upper right"],
      ["left", "left"],
      ["centred", "on the point"],
      ["right", "right"],
      ["lower_left", "lower left"],
      ["below", "below"],
      ["lower_right", "lower right"],
    ],
  },
  label_line_places: {
    course: [
      ["curved", "along the course"],
      ["straight", "straight, at the line’s angle"],
      ["level", "level"],
    ],
    position: [
      ["above", "above the line"],
      ["below", "below the line"],
      ["either", "above, else below"],
      ["on", "on the line"],
    ],
    top: [
      ["reader", "upright for the reader"],
      ["uphill", "uphill, by the values of the lines beside it"],
    ],
  },
  label_area_places: {
    course: [
      ["level", "level, at the widest place"],
      ["axis", "straight along the long axis"],
      ["curved", "curved along the middle"],
    ],
  },
  symbol_pattern: {
    kind: [
      ["lines", "lines"],
      ["crossed", "crossed lines"],
      ["dots", "dots"],
      ["staggered-dots", "dots, staggered"],
      ["dashes", "dashes"],
      ["plus-signs", "plus signs"],
    ],
  },
  picture_raster_look: {
    resampling: [
      ["bilinear", "bilinear"],
      ["cubic", "cubic"],
    ],
  },
  ramp_raster_look: {
    between: [
      ["percentages", "percentages of the values"],
      ["lowest and highest", "lowest and highest"],
      ["limits", "limits of your own"],
    ],
  },
  relief: {
    heights_in: [
      ["metres", "metres"],
      ["feet", "feet"],
    ],
  },
  shading_raster_look: {
    heights_in: [
      ["metres", "metres"],
      ["feet", "feet"],
    ],
  },
  pdf_manner: {
    standard: [
      ["none", "no standard"],
      ["pdf_a_2u", "PDF/A-2u"],
      ["pdf_a_3u", "PDF/A-3u"],
      ["pdf_x_4", "PDF/X-4"],
    ],
    colours: [
      ["screen", "RGB"],
      ["press", "CMYK and spot"],
    ],
    opens_at: [
      ["page", "whole page"],
      ["width", "fit width"],
      ["actual size", "actual size"],
    ],
    panel: [
      ["bookmarks", "bookmarks"],
      ["layers", "layers"],
      ["none", "nothing"],
    ],
    printing: [
      ["full", "high resolution"],
      ["low", "low resolution"],
      ["none", "none"],
    ],
  },
  pdf_layer: {
    printed: [
      ["as shown", "as shown"],
      ["always", "always"],
      ["never", "never"],
    ],
  },
  images_form: {
    format: [
      ["png", "PNG"],
      ["jpeg", "JPEG"],
      ["tiff", "TIFF"],
      ["webp", "WebP"],
      ["geotiff", "GeoTIFF"],
    ],
    shows: [
      ["page", "the page"],
      ["map frame", "the map frame only"],
      ["frame with border", "the map frame with border and labels"],
    ],
    depth: [
      ["colour", "24-bit colour"],
      ["grey", "8-bit grey"],
      ["256 colours", "256 colours"],
    ],
  },
  svg_sheets_form: {
    text: [
      ["text", "as text, typefaces embedded"],
      ["outlines", "as outlines"],
    ],
  },
  ground_form: {
    format: [
      ["mbtiles", "MBTiles"],
      ["geopackage", "GeoPackage"],
    ],
  },
  imposed_form: {
    lay: [
      ["several on one", "several pages per side (n-up)"],
      ["booklet", "a booklet to fold"],
      ["parts of large pages", "large pages tiled over small paper"],
    ],
    orientation: [
      ["as fits", "as fits best"],
      ["portrait", "portrait"],
      ["landscape", "landscape"],
    ],
  },
  map_frame_element: {
    layers: [
      ["all", "all layers shown"],
      ["areas", "areas and rasters"],
      ["none", "no layers"],
    ],
  },
  map_frame_element_shape: {
    kind: [
      ["rectangle", "rectangle"],
      ["rounded", "rounded rectangle"],
      ["ellipse", "ellipse"],
      ["polygon", "polygon"],
    ],
  },
  shown_on: {
    which: [
      ["all", "all"],
      ["first", "the first"],
      ["last", "the last"],
      ["not_first", "all but the first"],
      ["not_last", "all but the last"],
      ["odd", "odd pages"],
      ["even", "even pages"],
    ],
  },
  border: {
    cap: [
      ["butt", "flat"],
      ["round", "round"],
      ["square", "square"],
    ],
    join: [
      ["round", "round"],
      ["miter", "sharp"],
      ["bevel", "cut"],
    ],
  },
  grid: {
    drawn_on: [
      ["all", "all sheets"],
      ["unrotated", "sheets without rotation"],
      ["rotated", "rotated sheets, as in a strip"],
    ],
    draw_order: [
      ["above", "above the layers"],
      ["below", "below the layers"],
    ],
    fitted: [
      ["sheet", "each sheet"],
      ["book", "the whole book"],
    ],
    ticks: [
      ["inside", "inside"],
      ["outside", "outside"],
      ["across", "across"],
    ],
  },
  grid_labels: {
    position: [
      ["outside", "outside"],
      ["inside", "on the lines"],
    ],
    orientation: [
      ["along_edge", "along the edge"],
      ["level", "level"],
      ["along_line", "along the line"],
    ],
    families: [
      ["main", "main family"],
      ["both", "both families"],
    ],
    form: [
      ["full", "full"],
      ["short", "shortened, full at the ends"],
    ],
    notation: [
      ["d", "D°"],
      ["dm", "D°M′"],
      ["dms", "D°M′S″"],
      ["decimal", "D.d°"],
    ],
    thousands: [
      ["thin", "402 000"],
      ["language", "as the book's language"],
      ["comma", "402,000"],
      ["point", "402.000"],
      ["none", "402000"],
    ],
  },
  cells_shown: {
    labels: [
      ["names", "names"],
      ["numbers", "numbers"],
      ["both", "numbers and names"],
      ["none", "none"],
    ],
    first: [
      ["cells", "labels of cells come first"],
      ["features", "labels of features come first"],
    ],
  },
  veil: {
    round: [
      ["feature", "the sheet’s feature"],
      ["study_area", "the study area"],
      ["cell", "the sheet’s cell"],
    ],
    labels: [
      ["above", "above the veil"],
      ["below", "below the veil"],
    ],
    grids: [
      ["above", "above the veil"],
      ["below", "below the veil"],
    ],
  },
  frame_outline: {
    look: [
      ["outline", "an outline"],
      ["brackets", "brackets at its corners"],
      ["veil", "a veil outside it"],
    ],
  },
  inset_element: {
    layers: [
      ["all", "all layers shown"],
      ["areas", "areas and rasters"],
      ["none", "no layers"],
    ],
  },
  inset_element_shape: {
    kind: [
      ["rectangle", "rectangle"],
      ["rounded", "rounded rectangle"],
      ["ellipse", "ellipse"],
      ["polygon", "polygon"],
    ],
  },
  whole_index_extent: {
    size: [
      ["fitted", "to fit"],
      ["round", "next round scale"],
      ["standard", "next standard scale"],
      ["held", "fixed"],
    ],
  },
  sheet_extent: {
    size: [
      ["fitted", "to fit"],
      ["round", "next round scale"],
      ["standard", "next standard scale"],
      ["held", "fixed"],
    ],
  },
  neighbours_extent: {
    size: [
      ["fitted", "to fit"],
      ["round", "next round scale"],
      ["standard", "next standard scale"],
      ["held", "fixed"],
    ],
  },
  features_extent: {
    size: [
      ["fitted", "to fit"],
      ["round", "next round scale"],
      ["standard", "next standard scale"],
      ["held", "fixed"],
    ],
  },
  detail_extent: {
    size: [
      ["fitted", "to fit"],
      ["round", "next round scale"],
      ["standard", "next standard scale"],
      ["held", "fixed"],
    ],
  },
  globe: {
    projection: [
      ["orthographic", "orthographic (as from afar)"],
      ["equidistant", "azimuthal equidistant"],
      ["equal_area", "azimuthal equal-area"],
    ],
    centre: [
      ["study_area", "the study area"],
      ["sheet", "the sheet"],
      ["place", "a place"],
    ],
  },
  text_element: {
    align: [
      ["left", "left"],
      ["centre", "centred"],
      ["right", "right"],
      ["justify", "justified"],
    ],
    anchor: [
      ["top", "top"],
      ["middle", "middle"],
      ["bottom", "bottom"],
    ],
  },
  gradient: {
    kind: [
      ["linear", "linear"],
      ["radial", "radial"],
    ],
  },
  tab_stop: {
    align: [
      ["left", "left"],
      ["right", "right"],
      ["centre", "centred"],
      ["decimal", "decimal sign"],
    ],
  },
  scale_bar_element: {
    ticks: [
      ["up", "up"],
      ["down", "down"],
      ["through", "through"],
    ],
    units: [
      ["metric", "m, km"],
      ["imperial", "ft, miles"],
      ["survey", "US survey ft, miles"],
      ["yards", "yards, miles"],
      ["nautical", "m, nautical miles"],
      ["m", "metres"],
      ["km", "kilometres"],
      ["ft", "feet"],
      ["us-ft", "US survey feet"],
      ["yd", "yards"],
      ["mi", "miles"],
      ["nmi", "nautical miles"],
      ["paces", "paces"],
      ["minutes", "minutes of walking"],
    ],
    second_units: [
      ["metric", "m, km"],
      ["imperial", "ft, miles"],
      ["survey", "US survey ft, miles"],
      ["yards", "yards, miles"],
      ["nautical", "m, nautical miles"],
      ["m", "metres"],
      ["km", "kilometres"],
      ["ft", "feet"],
      ["us-ft", "US survey feet"],
      ["yd", "yards"],
      ["mi", "miles"],
      ["nmi", "nautical miles"],
      ["paces", "paces"],
      ["minutes", "minutes of walking"],
    ],
    labelled: [
      ["all", "every mark"],
      ["alternate", "every second"],
      ["ends", "the ends"],
      ["none", "none"],
    ],
    labels_at: [
      ["above", "above"],
      ["below", "below"],
    ],
    thousands: [
      ["language", "as the book's language"],
      ["comma", "1,000"],
      ["thin", "1 000"],
      ["point", "1.000"],
      ["none", "1000"],
    ],
    unit_at: [
      ["last", "after the last"],
      ["middle", "in the middle"],
      ["none", "nowhere"],
    ],
    fraction: [
      ["none", "none"],
      ["above", "above"],
      ["below", "below"],
    ],
    verbal: [
      ["none", "none"],
      ["above", "above"],
      ["below", "below"],
    ],
    verbal_units: [
      ["metric", "cm and m"],
      ["imperial", "inches and feet"],
    ],
    align: [
      ["left", "left"],
      ["centre", "centred"],
      ["right", "right"],
    ],
    measured: [
      ["level", "on the ellipsoid"],
      ["grid", "on the projection"],
    ],
    if_exceeded: [
      ["warn", "warn"],
      ["by_latitude", "a bar by latitude"],
    ],
    fitted: [
      ["book", "all sheets"],
      ["sheet", "each sheet"],
    ],
  },
  north_arrow_element: {
    north: [
      ["grid", "grid north"],
      ["true", "true north"],
      ["magnetic", "magnetic"],
    ],
    at: [
      ["frame", "middle"],
      ["here", "beside it"],
    ],
  },
  legend_element: {
    content: [
      ["sheet", "what this sheet shows"],
      ["book", "what any sheet of the book shows"],
      ["hand", "the rows that are listed alone"],
    ],
    headings: [
      ["none", "none"],
      ["layers", "layers’ titles"],
      ["groups", "groups of layers"],
    ],
    grows_from: [
      ["top left", "grows from the top left"],
      ["top right", "grows from the top right"],
      ["bottom left", "grows from the bottom left"],
      ["bottom right", "grows from the bottom right"],
    ],
  },
  legend_bar: {
    direction: [
      ["level", "level"],
      ["upright", "upright"],
    ],
  },
  own_legend_row: {
    shape: [
      ["point", "point"],
      ["line", "line"],
      ["area", "area"],
    ],
  },
  steps_legend_row: {
    labels: [
      ["limits", "limits between the steps"],
      ["ranges", "ranges beside them"],
      ["titles", "titles of the map"],
    ],
  },
  table_element: {
    records: [
      ["sheet", "those on the sheet"],
      ["book", "all"],
    ],
  },
  table_column: {
    align: [
      ["left", "left"],
      ["centre", "centred"],
      ["right", "right"],
    ],
  },
  line_element: {
    slope: [
      ["down", "from upper left to lower right"],
      ["up", "from lower left to upper right"],
    ],
  },
  index_frame_element: {
    layers: [
      ["all", "all layers shown"],
      ["areas", "areas and rasters"],
      ["none", "no layers"],
    ],
  },
  index_frame_element_shape: {
    kind: [
      ["rectangle", "rectangle"],
      ["rounded", "rounded rectangle"],
      ["ellipse", "ellipse"],
      ["polygon", "polygon"],
    ],
  },
  locator_element_shape: {
    kind: [
      ["rectangle", "rectangle"],
      ["rounded", "rounded rectangle"],
      ["ellipse", "ellipse"],
      ["polygon", "polygon"],
    ],
  },
  grid_note_element: {
    align: [
      ["left", "left"],
      ["centre", "centred"],
      ["right", "right"],
      ["justify", "justified"],
    ],
    anchor: [
      ["top", "top"],
      ["middle", "middle"],
      ["bottom", "bottom"],
    ],
  },
  index_pages: {
    place: [
      ["first", "before the sheets"],
      ["last", "after the sheets"],
    ],
  },
  free_page: {
    place: [
      ["front", "first of all"],
      ["before_sheets", "before the first sheet"],
      ["before_sheet", "before a sheet"],
      ["back", "after everything"],
    ],
    starts: [
      ["anywhere", "the next page"],
      ["right", "a right-hand page"],
      ["left", "a left-hand page"],
    ],
  },
  index: {
    fewest: [
      ["moved", "move it for the fewest"],
      ["turned", "move and rotate it for the fewest"],
    ],
    upward: [
      ["north", "north as far up as it can be"],
      ["route", "read along the route, left to right"],
    ],
    centre: [
      ["extent", "the middle of its extent"],
      ["inner", "the largest circle inside it"],
    ],
    rotation_sense: [
      ["clockwise", "clockwise"],
      ["counter_clockwise", "counter-clockwise"],
    ],
  },
  index_scale_rule: {
    kind: [
      ["fixed", "fixed"],
      ["fit", "fit with margin"],
      ["standard_scales", "standard scales"],
      ["field", "from a field"],
    ],
  },
  index_naming: {
    kind: [
      ["places", "by column and row"],
      ["numbers", "by number"],
      ["field", "by a field"],
    ],
    columns: [
      ["letters", "letters"],
      ["numbers", "numbers"],
    ],
    rows: [
      ["numbers", "numbers"],
      ["letters", "letters"],
    ],
    first: [
      ["column", "the column"],
      ["row", "the row"],
    ],
    rows_from: [
      ["north", "the north"],
      ["south", "the south"],
    ],
  },
  index_order: {
    kind: [
      ["rows", "row by row"],
      ["columns", "column by column"],
      ["rows_back_forth", "rows back and forth"],
      ["columns_back_forth", "columns back and forth"],
      ["clockwise", "clockwise round the middle"],
      ["counter_clockwise", "counter-clockwise round the middle"],
      ["as_generated", "as generated"],
      ["names", "by name"],
      ["field", "by a field"],
      ["by_hand", "by hand"],
    ],
    from: [
      ["north_west", "the north-west"],
      ["north_east", "the north-east"],
      ["south_west", "the south-west"],
      ["south_east", "the south-east"],
    ],
  },
  scaleBarStyle: {
    ticks: [
      ["up", "up"],
      ["down", "down"],
      ["through", "through"],
    ],
    units: [
      ["metric", "m, km"],
      ["imperial", "ft, miles"],
      ["survey", "US survey ft, miles"],
      ["yards", "yards, miles"],
      ["nautical", "m, nautical miles"],
      ["m", "metres"],
      ["km", "kilometres"],
      ["ft", "feet"],
      ["us-ft", "US survey feet"],
      ["yd", "yards"],
      ["mi", "miles"],
      ["nmi", "nautical miles"],
      ["paces", "paces"],
      ["minutes", "minutes of walking"],
    ],
    second_units: [
      ["metric", "m, km"],
      ["imperial", "ft, miles"],
      ["survey", "US survey ft, miles"],
      ["yards", "yards, miles"],
      ["nautical", "m, nautical miles"],
      ["m", "metres"],
      ["km", "kilometres"],
      ["ft", "feet"],
      ["us-ft", "US survey feet"],
      ["yd", "yards"],
      ["mi", "miles"],
      ["nmi", "nautical miles"],
      ["paces", "paces"],
      ["minutes", "minutes of walking"],
    ],
    labelled: [
      ["all", "every mark"],
      ["alternate", "every second"],
      ["ends", "the ends"],
      ["none", "none"],
    ],
    labels_at: [
      ["above", "above"],
      ["below", "below"],
    ],
    thousands: [
      ["language", "as the book's language"],
      ["comma", "1,000"],
      ["thin", "1 000"],
      ["point", "1.000"],
      ["none", "1000"],
    ],
    unit_at: [
      ["last", "after the last"],
      ["middle", "in the middle"],
      ["none", "nowhere"],
    ],
    fraction: [
      ["none", "none"],
      ["above", "above"],
      ["below", "below"],
    ],
    verbal: [
      ["none", "none"],
      ["above", "above"],
      ["below", "below"],
    ],
    verbal_units: [
      ["metric", "cm and m"],
      ["imperial", "inches and feet"],
    ],
    align: [
      ["left", "left"],
      ["centre", "centred"],
      ["right", "right"],
    ],
  },
} as const;
