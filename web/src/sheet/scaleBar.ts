import type { ScaleBarElement } from "../api/types";

// What the cards of a scale bar share.
export type Keep = (patch: Partial<ScaleBarElement>) => Promise<unknown>;

export const GRID = {
  display: "grid",
  gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)",
  gap: 1,
  alignItems: "end",
} as const;
