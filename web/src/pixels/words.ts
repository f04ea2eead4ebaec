import { rounded } from "../numbers/written";
import { t } from "../texts/t";

const plain = (number: number, digits = 2) => rounded(number, digits);

/** "4,640 × 3,200 px of 1 m" */
export function sizeOf(width: number, height: number, pixel_m: [number, number] | null): string {
  const size = t("%{width} × %{height} px", { width: plain(width), height: plain(height) });
  if (!pixel_m) return size;
  const [across, down] = pixel_m.map((metres) => plain(metres, metres < 1 ? 3 : 2));
  return across === down
    ? t("%{size} of %{across} m", { size, across })
    : t("%{size} of %{across} × %{down} m", { size, across, down });
}

/** Pixels an inch that they have on paper at a scale. */
export const ppiAt = (pixel_m: [number, number], scale: number) => (0.0254 * scale) / Math.min(...pixel_m);

export { plain };
