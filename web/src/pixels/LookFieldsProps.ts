import type { PixelsInfo, RasterLook } from "../api/types";

// What the fields of a look of pixels are given. onSave: label is of the change in the history.
export interface LookFieldsProps<Kind extends RasterLook["kind"]> {
  look: Extract<RasterLook, { kind: Kind }>;
  pixels: PixelsInfo;
  onSave: (label: string, look: RasterLook) => Promise<unknown>;
}
