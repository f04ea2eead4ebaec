// Made by bin/generate out of docs/book.schema.json. Do not edit.

import { t } from "../texts/t";

// What parts of the book document choose from, with its titles, by the names of both.
export const choices = {
  layer: {
    blend: [
      ["normal", t("normal")],
      ["multiply", t("multiply")],
    ],
    match: [
      ["first", t("the first matching rule")],
      ["all", t("all matching rules, first at the bottom")],
    ],
    label_match: [
      ["first", t("the first matching rule")],
      ["all", t("all matching rules")],
    ],
  },
  layer_data: {
    taken_as: [
      ["picture", t("an image")],
      ["classes", t("classes, such as land cover")],
      ["values", t("heights or other values")],
    ],
  },
  label_rule: {
    letter_case: [
      ["as_written", t("as written")],
      ["capitals", t("CAPITALS")],
      ["small", t("small letters")],
      ["each_word", t("Each Word Capitalised")],
    ],
  },
  label_backing: {
    shape: [
      ["box", t("box")],
      ["rounded", t("box with round corners")],
      ["ellipse", t("ellipse")],
      ["hexagon", t("hexagon")],
      ["shield", t("shield")],
    ],
  },
  stroke: {
    cap: [
      ["butt", t("flat")],
      ["round", t("round")],
      ["square", t("square")],
    ],
    join: [
      ["round", t("round")],
      ["miter", t("sharp")],
      ["bevel", t("cut")],
    ],
  },
  label_point_places: {
    positions: [
      ["upper_left", t("upper left")],
      ["above", t("above")],
      ["upper_right", t("upper right")],
      ["left", t("left")],
      ["centred", t("on the point")],
      ["right", t("right")],
      ["lower_left", t("lower left")],
      ["below", t("below")],
      ["lower_right", t("lower right")],
    ],
  },
  label_line_places: {
    course: [
      ["curved", t("along the course")],
      ["straight", t("straight, at the line’s angle")],
      ["level", t("level")],
    ],
    position: [
      ["above", t("above the line")],
      ["below", t("below the line")],
      ["either", t("above, else below")],
      ["on", t("on the line")],
    ],
    top: [
      ["reader", t("upright for the reader")],
      ["uphill", t("uphill, by the values of the lines beside it")],
    ],
  },
  label_area_places: {
    course: [
      ["level", t("level, at the widest place")],
      ["axis", t("straight along the long axis")],
      ["curved", t("curved along the middle")],
    ],
  },
  symbol_pattern: {
    kind: [
      ["lines", t("lines")],
      ["crossed", t("crossed lines")],
      ["dots", t("dots")],
      ["staggered-dots", t("dots, staggered")],
      ["dashes", t("dashes")],
      ["plus-signs", t("plus signs")],
    ],
  },
  picture_raster_look: {
    resampling: [
      ["bilinear", t("bilinear")],
      ["cubic", t("cubic")],
    ],
  },
  ramp_raster_look: {
    between: [
      ["percentages", t("percentages of the values")],
      ["lowest and highest", t("lowest and highest")],
      ["limits", t("custom limits")],
    ],
  },
  relief: {
    heights_in: [
      ["metres", t("metres")],
      ["feet", t("feet")],
    ],
  },
  shading_raster_look: {
    heights_in: [
      ["metres", t("metres")],
      ["feet", t("feet")],
    ],
  },
  pdf_manner: {
    standard: [
      ["none", t("no standard")],
      ["pdf_a_2u", t("PDF/A-2u")],
      ["pdf_a_3u", t("PDF/A-3u")],
      ["pdf_x_4", t("PDF/X-4")],
    ],
    colours: [
      ["screen", t("RGB")],
      ["press", t("CMYK and spot")],
    ],
    opens_at: [
      ["page", t("whole page")],
      ["width", t("fit width")],
      ["actual size", t("actual size")],
    ],
    panel: [
      ["bookmarks", t("bookmarks")],
      ["layers", t("layers")],
      ["none", t("nothing")],
    ],
    printing: [
      ["full", t("high resolution")],
      ["low", t("low resolution")],
      ["none", t("none")],
    ],
  },
  pdf_layer: {
    printed: [
      ["as shown", t("as shown")],
      ["always", t("always")],
      ["never", t("never")],
    ],
  },
  images_form: {
    format: [
      ["png", t("PNG")],
      ["jpeg", t("JPEG")],
      ["tiff", t("TIFF")],
      ["webp", t("WebP")],
      ["geotiff", t("GeoTIFF")],
    ],
    shows: [
      ["page", t("the page")],
      ["map frame", t("the map frame only")],
      ["frame with border", t("the map frame with border and labels")],
    ],
    depth: [
      ["colour", t("24-bit colour")],
      ["grey", t("8-bit grey")],
      ["256 colours", t("256 colours")],
    ],
  },
  svg_sheets_form: {
    text: [
      ["text", t("as text, typefaces embedded")],
      ["outlines", t("as outlines")],
    ],
  },
  ground_form: {
    format: [
      ["mbtiles", t("MBTiles")],
      ["geopackage", t("GeoPackage")],
    ],
  },
  imposed_form: {
    lay: [
      ["several on one", t("several pages per side (n-up)")],
      ["booklet", t("a booklet to fold")],
      ["parts of large pages", t("large pages tiled over small paper")],
    ],
    orientation: [
      ["as fits", t("as fits best")],
      ["portrait", t("portrait")],
      ["landscape", t("landscape")],
    ],
  },
  map_frame_element: {
    layers: [
      ["all", t("all layers shown")],
      ["areas", t("areas and rasters")],
      ["none", t("no layers")],
    ],
  },
  map_frame_element_shape: {
    kind: [
      ["rectangle", t("rectangle")],
      ["rounded", t("rounded rectangle")],
      ["ellipse", t("ellipse")],
      ["polygon", t("polygon")],
    ],
  },
  shown_on: {
    which: [
      ["all", t("all")],
      ["first", t("the first")],
      ["last", t("the last")],
      ["not_first", t("all but the first")],
      ["not_last", t("all but the last")],
      ["odd", t("odd pages")],
      ["even", t("even pages")],
    ],
  },
  border: {
    cap: [
      ["butt", t("flat")],
      ["round", t("round")],
      ["square", t("square")],
    ],
    join: [
      ["round", t("round")],
      ["miter", t("sharp")],
      ["bevel", t("cut")],
    ],
  },
  grid: {
    drawn_on: [
      ["all", t("all sheets")],
      ["unrotated", t("sheets without rotation")],
      ["rotated", t("rotated sheets, as in a strip")],
    ],
    draw_order: [
      ["above", t("above the layers")],
      ["below", t("below the layers")],
    ],
    fitted: [
      ["sheet", t("each sheet")],
      ["book", t("the whole book")],
    ],
    ticks: [
      ["inside", t("inside")],
      ["outside", t("outside")],
      ["across", t("across")],
    ],
  },
  grid_labels: {
    position: [
      ["outside", t("outside")],
      ["inside", t("on the lines")],
    ],
    orientation: [
      ["along_edge", t("along the edge")],
      ["level", t("level")],
      ["along_line", t("along the line")],
    ],
    families: [
      ["main", t("main family")],
      ["both", t("both families")],
    ],
    form: [
      ["full", t("full")],
      ["short", t("shortened, full at the ends")],
    ],
    notation: [
      ["d", t("D°")],
      ["dm", t("D°M′")],
      ["dms", t("D°M′S″")],
      ["decimal", t("D.d°")],
    ],
    thousands: [
      ["thin", t("402 000")],
      ["language", t("as the book's language")],
      ["comma", t("402,000")],
      ["point", t("402.000")],
      ["none", t("402000")],
    ],
  },
  cells_shown: {
    labels: [
      ["names", t("names")],
      ["numbers", t("numbers")],
      ["both", t("numbers and names")],
      ["none", t("none")],
    ],
    first: [
      ["cells", t("labels of cells come first")],
      ["features", t("labels of features come first")],
    ],
  },
  veil: {
    round: [
      ["feature", t("the sheet’s feature")],
      ["study_area", t("the study area")],
      ["cell", t("the sheet’s cell")],
    ],
    labels: [
      ["above", t("above the veil")],
      ["below", t("below the veil")],
    ],
    grids: [
      ["above", t("above the veil")],
      ["below", t("below the veil")],
    ],
  },
  frame_outline: {
    look: [
      ["outline", t("an outline")],
      ["brackets", t("brackets at its corners")],
      ["veil", t("a veil outside it")],
    ],
  },
  inset_element: {
    layers: [
      ["all", t("all layers shown")],
      ["areas", t("areas and rasters")],
      ["none", t("no layers")],
    ],
  },
  inset_element_shape: {
    kind: [
      ["rectangle", t("rectangle")],
      ["rounded", t("rounded rectangle")],
      ["ellipse", t("ellipse")],
      ["polygon", t("polygon")],
    ],
  },
  whole_index_extent: {
    size: [
      ["fitted", t("to fit")],
      ["round", t("next round scale")],
      ["standard", t("next standard scale")],
      ["held", t("fixed")],
    ],
  },
  sheet_extent: {
    size: [
      ["fitted", t("to fit")],
      ["round", t("next round scale")],
      ["standard", t("next standard scale")],
      ["held", t("fixed")],
    ],
  },
  neighbours_extent: {
    size: [
      ["fitted", t("to fit")],
      ["round", t("next round scale")],
      ["standard", t("next standard scale")],
      ["held", t("fixed")],
    ],
  },
  features_extent: {
    size: [
      ["fitted", t("to fit")],
      ["round", t("next round scale")],
      ["standard", t("next standard scale")],
      ["held", t("fixed")],
    ],
  },
  detail_extent: {
    size: [
      ["fitted", t("to fit")],
      ["round", t("next round scale")],
      ["standard", t("next standard scale")],
      ["held", t("fixed")],
    ],
  },
  globe: {
    projection: [
      ["orthographic", t("orthographic (as from afar)")],
      ["equidistant", t("azimuthal equidistant")],
      ["equal_area", t("azimuthal equal-area")],
    ],
    centre: [
      ["study_area", t("the study area")],
      ["sheet", t("the sheet")],
      ["place", t("a place")],
    ],
  },
  text_element: {
    align: [
      ["left", t("left")],
      ["centre", t("centred")],
      ["right", t("right")],
      ["justify", t("justified")],
    ],
    anchor: [
      ["top", t("top")],
      ["middle", t("middle")],
      ["bottom", t("bottom")],
    ],
  },
  gradient: {
    kind: [
      ["linear", t("linear")],
      ["radial", t("radial")],
    ],
  },
  tab_stop: {
    align: [
      ["left", t("left")],
      ["right", t("right")],
      ["centre", t("centred")],
      ["decimal", t("decimal sign")],
    ],
  },
  scale_bar_element: {
    ticks: [
      ["up", t("up")],
      ["down", t("down")],
      ["through", t("through")],
    ],
    units: [
      ["metric", t("m, km")],
      ["imperial", t("ft, miles")],
      ["survey", t("US survey ft, miles")],
      ["yards", t("yards, miles")],
      ["nautical", t("m, nautical miles")],
      ["m", t("metres")],
      ["km", t("kilometres")],
      ["ft", t("feet")],
      ["us-ft", t("US survey feet")],
      ["yd", t("yards")],
      ["mi", t("miles")],
      ["nmi", t("nautical miles")],
      ["paces", t("paces")],
      ["minutes", t("minutes of walking")],
    ],
    second_units: [
      ["metric", t("m, km")],
      ["imperial", t("ft, miles")],
      ["survey", t("US survey ft, miles")],
      ["yards", t("yards, miles")],
      ["nautical", t("m, nautical miles")],
      ["m", t("metres")],
      ["km", t("kilometres")],
      ["ft", t("feet")],
      ["us-ft", t("US survey feet")],
      ["yd", t("yards")],
      ["mi", t("miles")],
      ["nmi", t("nautical miles")],
      ["paces", t("paces")],
      ["minutes", t("minutes of walking")],
    ],
    labelled: [
      ["all", t("every mark")],
      ["alternate", t("every second")],
      ["ends", t("the ends")],
      ["none", t("none")],
    ],
    labels_at: [
      ["above", t("above")],
      ["below", t("below")],
    ],
    thousands: [
      ["language", t("as the book's language")],
      ["comma", t("1,000")],
      ["thin", t("1 000")],
      ["point", t("1.000")],
      ["none", t("1000")],
    ],
    unit_at: [
      ["last", t("after the last")],
      ["middle", t("in the middle")],
      ["none", t("nowhere")],
    ],
    fraction: [
      ["none", t("none")],
      ["above", t("above")],
      ["below", t("below")],
    ],
    verbal: [
      ["none", t("none")],
      ["above", t("above")],
      ["below", t("below")],
    ],
    verbal_units: [
      ["metric", t("cm and m")],
      ["imperial", t("inches and feet")],
    ],
    align: [
      ["left", t("left")],
      ["centre", t("centred")],
      ["right", t("right")],
    ],
    measured: [
      ["level", t("on the ellipsoid")],
      ["grid", t("on the projection")],
    ],
    if_exceeded: [
      ["warn", t("warn")],
      ["by_latitude", t("a bar by latitude")],
    ],
    fitted: [
      ["book", t("all sheets")],
      ["sheet", t("each sheet")],
    ],
  },
  north_arrow_element: {
    north: [
      ["grid", t("grid north")],
      ["true", t("true north")],
      ["magnetic", t("magnetic")],
    ],
    at: [
      ["frame", t("middle")],
      ["here", t("beside it")],
    ],
  },
  legend_element: {
    content: [
      ["sheet", t("what this sheet shows")],
      ["book", t("what any sheet of the book shows")],
      ["hand", t("the rows that are listed alone")],
    ],
    headings: [
      ["none", t("none")],
      ["layers", t("layers’ titles")],
      ["groups", t("groups of layers")],
    ],
    grows_from: [
      ["top left", t("grows from the top left")],
      ["top right", t("grows from the top right")],
      ["bottom left", t("grows from the bottom left")],
      ["bottom right", t("grows from the bottom right")],
    ],
  },
  legend_bar: {
    direction: [
      ["level", t("level")],
      ["upright", t("upright")],
    ],
  },
  own_legend_row: {
    shape: [
      ["point", t("point")],
      ["line", t("line")],
      ["area", t("area")],
    ],
  },
  steps_legend_row: {
    labels: [
      ["limits", t("limits between the steps")],
      ["ranges", t("ranges beside them")],
      ["titles", t("titles of the map")],
    ],
  },
  table_element: {
    records: [
      ["sheet", t("those on the sheet")],
      ["book", t("all")],
    ],
  },
  table_column: {
    align: [
      ["left", t("left")],
      ["centre", t("centred")],
      ["right", t("right")],
    ],
  },
  line_element: {
    slope: [
      ["down", t("from upper left to lower right")],
      ["up", t("from lower left to upper right")],
    ],
  },
  index_frame_element: {
    layers: [
      ["all", t("all layers shown")],
      ["areas", t("areas and rasters")],
      ["none", t("no layers")],
    ],
  },
  index_frame_element_shape: {
    kind: [
      ["rectangle", t("rectangle")],
      ["rounded", t("rounded rectangle")],
      ["ellipse", t("ellipse")],
      ["polygon", t("polygon")],
    ],
  },
  locator_element_shape: {
    kind: [
      ["rectangle", t("rectangle")],
      ["rounded", t("rounded rectangle")],
      ["ellipse", t("ellipse")],
      ["polygon", t("polygon")],
    ],
  },
  grid_note_element: {
    align: [
      ["left", t("left")],
      ["centre", t("centred")],
      ["right", t("right")],
      ["justify", t("justified")],
    ],
    anchor: [
      ["top", t("top")],
      ["middle", t("middle")],
      ["bottom", t("bottom")],
    ],
  },
  index_pages: {
    place: [
      ["first", t("before the sheets")],
      ["last", t("after the sheets")],
    ],
  },
  free_page: {
    place: [
      ["front", t("first of all")],
      ["before_sheets", t("before the first sheet")],
      ["before_sheet", t("before a sheet")],
      ["back", t("after everything")],
    ],
    starts: [
      ["anywhere", t("the next page")],
      ["right", t("a right-hand page")],
      ["left", t("a left-hand page")],
    ],
  },
  index: {
    fewest: [
      ["moved", t("move it for the fewest")],
      ["turned", t("move and rotate it for the fewest")],
    ],
    upward: [
      ["north", t("north as far up as it can be")],
      ["route", t("read along the route, left to right")],
    ],
    centre: [
      ["extent", t("the centre of its extent")],
      ["inner", t("the largest circle inside it")],
    ],
    rotation_sense: [
      ["clockwise", t("clockwise")],
      ["counter_clockwise", t("counter-clockwise")],
    ],
  },
  index_scale_rule: {
    kind: [
      ["fixed", t("fixed")],
      ["fit", t("fit with margin")],
      ["standard_scales", t("standard scales")],
      ["field", t("from a field")],
    ],
  },
  index_naming: {
    kind: [
      ["places", t("by column and row")],
      ["numbers", t("by number")],
      ["field", t("by a field")],
    ],
    columns: [
      ["letters", t("letters")],
      ["numbers", t("numbers")],
    ],
    rows: [
      ["numbers", t("numbers")],
      ["letters", t("letters")],
    ],
    first: [
      ["column", t("the column")],
      ["row", t("the row")],
    ],
    rows_from: [
      ["north", t("the north")],
      ["south", t("the south")],
    ],
  },
  index_order: {
    kind: [
      ["rows", t("row by row")],
      ["columns", t("column by column")],
      ["rows_back_forth", t("rows back and forth")],
      ["columns_back_forth", t("columns back and forth")],
      ["clockwise", t("clockwise around the middle")],
      ["counter_clockwise", t("counter-clockwise around the middle")],
      ["as_generated", t("as generated")],
      ["names", t("by name")],
      ["field", t("by a field")],
      ["by_hand", t("by hand")],
    ],
    from: [
      ["north_west", t("the north-west")],
      ["north_east", t("the north-east")],
      ["south_west", t("the south-west")],
      ["south_east", t("the south-east")],
    ],
  },
  scaleBarStyle: {
    ticks: [
      ["up", t("up")],
      ["down", t("down")],
      ["through", t("through")],
    ],
    units: [
      ["metric", t("m, km")],
      ["imperial", t("ft, miles")],
      ["survey", t("US survey ft, miles")],
      ["yards", t("yards, miles")],
      ["nautical", t("m, nautical miles")],
      ["m", t("metres")],
      ["km", t("kilometres")],
      ["ft", t("feet")],
      ["us-ft", t("US survey feet")],
      ["yd", t("yards")],
      ["mi", t("miles")],
      ["nmi", t("nautical miles")],
      ["paces", t("paces")],
      ["minutes", t("minutes of walking")],
    ],
    second_units: [
      ["metric", t("m, km")],
      ["imperial", t("ft, miles")],
      ["survey", t("US survey ft, miles")],
      ["yards", t("yards, miles")],
      ["nautical", t("m, nautical miles")],
      ["m", t("metres")],
      ["km", t("kilometres")],
      ["ft", t("feet")],
      ["us-ft", t("US survey feet")],
      ["yd", t("yards")],
      ["mi", t("miles")],
      ["nmi", t("nautical miles")],
      ["paces", t("paces")],
      ["minutes", t("minutes of walking")],
    ],
    labelled: [
      ["all", t("every mark")],
      ["alternate", t("every second")],
      ["ends", t("the ends")],
      ["none", t("none")],
    ],
    labels_at: [
      ["above", t("above")],
      ["below", t("below")],
    ],
    thousands: [
      ["language", t("as the book's language")],
      ["comma", t("1,000")],
      ["thin", t("1 000")],
      ["point", t("1.000")],
      ["none", t("1000")],
    ],
    unit_at: [
      ["last", t("after the last")],
      ["middle", t("in the middle")],
      ["none", t("nowhere")],
    ],
    fraction: [
      ["none", t("none")],
      ["above", t("above")],
      ["below", t("below")],
    ],
    verbal: [
      ["none", t("none")],
      ["above", t("above")],
      ["below", t("below")],
    ],
    verbal_units: [
      ["metric", t("cm and m")],
      ["imperial", t("inches and feet")],
    ],
    align: [
      ["left", t("left")],
      ["centre", t("centred")],
      ["right", t("right")],
    ],
  },
} as const;
