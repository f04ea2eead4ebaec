// Numbers and lengths in words, as the sentences and cards show them.

import { rounded } from "../numbers/written";
import { counted, t } from "../texts/t";

const whole = (value: number) => rounded(value, 0);
const fine = (value: number) => rounded(value, 1);

// Lengths that belong together have one number of decimals: "5,614.1 × 4,620.0".
function pair(one: number, other: number): string {
  const decimals = [one, other].every((value) => Number.isInteger(Math.round(value * 10) / 10)) ? 0 : 1;
  return `${rounded(one, decimals, decimals)} × ${rounded(other, decimals, decimals)}`;
}

export const ratio = (scale: number) => `1:${rounded(scale, 3)}`;

/** "1 sheet", "27 sheets" */
export const count = (n: number, one: string, many = `${one}s`) => counted(n, whole(n), one, many);

/** "A1, B1, C1 and 4 more" */
export const listed = (names: string[], most: number) =>
  `${names.slice(0, most).join(", ")}${names.length > most ? t(" and %{value} more", { value: names.length - most }) : ""}`;

export const mm = (value: number) => t("%{value} mm", { value: fine(value) });

/** "314 × 261 mm" */
export const paperSize = (width: number, height: number) => t("%{value} mm", { value: pair(width, height) });

/** "402 265.1"; most: decimals, where a card shows more of them than the tenth that all have. */
export const coordinate = (value: number, most = 1) => rounded(value, most, 1).replaceAll(",", " ");

export function metres(value: number): string {
  return value >= 10_000 ? t("%{value} km", { value: fine(value / 1000) }) : `${fine(value)} m`;
}

/** "785 × 652 m", both in the unit of the larger. */
export function groundSize(width: number, height: number): string {
  return Math.max(width, height) >= 10_000
    ? t("%{value} km", { value: pair(width / 1000, height / 1000) })
    : `${pair(width, height)} m`;
}

export function area(m2: number): string {
  if (m2 >= 1_000_000) return t("%{value} km²", { value: fine(m2 / 1_000_000) });
  return m2 >= 10_000 ? t("%{value} ha", { value: fine(m2 / 10_000) }) : `${whole(m2)} m²`;
}

export function bytes(n: number): string {
  if (n < 1000) return t("%{whole} bytes", { whole: whole(n) });
  return n >= 1_000_000
    ? t("%{value} MB", { value: fine(n / 1_000_000) })
    : t("%{value} kB", { value: whole(n / 1000) });
}
