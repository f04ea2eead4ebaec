import colorbrewer from "colorbrewer";

// Cynthia Brewer's palettes (colorbrewer, Apache licence), by what they are for.
const SEQUENTIAL = [
  "YlGn",
  "YlGnBu",
  "GnBu",
  "BuGn",
  "PuBuGn",
  "PuBu",
  "BuPu",
  "RdPu",
  "PuRd",
  "OrRd",
  "YlOrRd",
  "YlOrBr",
  "Purples",
  "Blues",
  "Greens",
  "Oranges",
  "Reds",
  "Greys",
];
const DIVERGING = ["PuOr", "BrBG", "PRGn", "PiYG", "RdBu", "RdGy", "RdYlBu", "Spectral", "RdYlGn"];
const QUALITATIVE = ["Dark2", "Set1", "Set2", "Set3", "Paired", "Accent", "Pastel1", "Pastel2"];

export const RAMPS = [...SEQUENTIAL, ...DIVERGING];
export const SETS = QUALITATIVE;

const all = colorbrewer as unknown as Record<string, Record<number, string[]>>;

/**
 * So many colours of a palette, in its order; where it has fewer, they come again; where it has no set as small, every
 * so many of its smallest.
 */
export function colours(palette: string, count: number, reversed = false): string[] {
  const sizes = all[palette]!;
  const known = Object.keys(sizes).map(Number);
  const smallest = Math.min(...known),
    largest = Math.max(...known);
  const base = sizes[Math.min(Math.max(count, smallest), largest)]!;
  const selected =
    count < smallest
      ? base.slice(smallest - count)
      : Array.from(
          { length: count },
          (_, index) =>
            base[
              count > largest && RAMPS.includes(palette) ? Math.floor((index * largest) / count) : index % base.length
            ]!,
        );
  return reversed ? [...selected].reverse() : selected;
}
