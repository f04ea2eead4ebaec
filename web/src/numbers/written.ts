const formats = new Map<string, Intl.NumberFormat>();

function formatOf(most: number, least: number): Intl.NumberFormat {
  const key = `${most} ${least}`;
  const made =
    formats.get(key) ?? new Intl.NumberFormat("en-GB", { maximumFractionDigits: most, minimumFractionDigits: least });
  formats.set(key, made);
  return made;
}

/** A number as it is shown with `most` decimals at most, `least` at least: digits grouped, a true minus. */
export const rounded = (value: number, most: number, least = 0) =>
  formatOf(most, least).format(value).replace("-", "−");

/** A number as it is shown, no more decimals than it has. "−12,500.25" */
export const written = (value: number) => rounded(value, 12);
