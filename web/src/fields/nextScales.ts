import { standardScales } from "../generated/kinds";

// Scales that are told apart on paper differ by more than this.
const ALIKE = 0.5;

/** The standard scales on either side of one, as denominators: the next larger scale and the next smaller one. */
export const nextScales = (scale: number): { larger: number | undefined; smaller: number | undefined } => ({
  larger: standardScales.filter((known) => known < scale - ALIKE).at(-1),
  smaller: standardScales.find((known) => known > scale + ALIKE),
});
