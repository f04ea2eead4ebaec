// Numbers and lengths in words, as the sentences and cards show them.

const whole = new Intl.NumberFormat("en-GB", { maximumFractionDigits: 0 });
const fine = new Intl.NumberFormat("en-GB", { maximumFractionDigits: 1 });

export const ratio = (scale: number) =>
  `1:${new Intl.NumberFormat("en-GB", { maximumFractionDigits: 3 }).format(scale)}`;

export const count = (n: number, one: string, many = `${one}s`) => `${whole.format(n)} ${n === 1 ? one : many}`;

/** "A1, B1, C1 and 4 more" */
export const listed = (names: string[], most: number) =>
  `${names.slice(0, most).join(", ")}${names.length > most ? ` and ${names.length - most} more` : ""}`;

export const mm = (value: number) => `${fine.format(value)} mm`;

/** "402 265.1"; most: decimals, where a card shows more of them than the tenth that all have. */
export const coordinate = (value: number, most = 1) =>
  new Intl.NumberFormat("en-GB", { maximumFractionDigits: most, minimumFractionDigits: 1 })
    .format(value)
    .replaceAll(",", " ")
    .replace("-", "−");

export function metres(value: number): string {
  return value >= 10_000 ? `${fine.format(value / 1000)} km` : `${fine.format(value)} m`;
}

/** "785 × 652 m", both in the unit of the larger. */
export function groundSize(width: number, height: number): string {
  return Math.max(width, height) >= 10_000
    ? `${fine.format(width / 1000)} × ${fine.format(height / 1000)} km`
    : `${fine.format(width)} × ${fine.format(height)} m`;
}

export function area(m2: number): string {
  if (m2 >= 1_000_000) return `${fine.format(m2 / 1_000_000)} km²`;
  return m2 >= 10_000 ? `${fine.format(m2 / 10_000)} ha` : `${whole.format(m2)} m²`;
}

export function bytes(n: number): string {
  if (n < 1000) return `${whole.format(n)} bytes`;
  return n >= 1_000_000 ? `${fine.format(n / 1_000_000)} MB` : `${whole.format(n / 1000)} kB`;
}
