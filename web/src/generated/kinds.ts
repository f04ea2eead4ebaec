// Made by bin/generate out of what the core declares. Do not edit.

export const elements = [
  ["map_frame", "Map frame"],
  ["text", "Text"],
  ["scale_bar", "Scale bar"],
  ["north_arrow", "North arrow"],
  ["legend", "Legend"],
  ["neatline", "Neatline"],
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
