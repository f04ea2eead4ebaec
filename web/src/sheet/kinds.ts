import type { Element, ElementOf, GriddedElement } from "../api/types";
import { elements } from "../generated/kinds";

export type ElementKind = Element["kind"];

// What each kind of element is called, as menus have it.
export const elementTitles = Object.fromEntries(elements) as Record<ElementKind, string>;

// What turns by hand: these do not; a north arrow turns with its frame alone.
const UNROTATED: ElementKind[] = [
  "map_frame",
  "index_frame",
  "locator",
  "adjoining",
  "neatline",
  "legend",
  "north_arrow",
];
export const rotates = (element: Element) => !UNROTATED.includes(element.kind);

// The frames that decide what a page shows: one of each, never copied, never taken away.
export const isFrame = (element: { kind: ElementKind }): element is ElementOf<"map_frame"> | ElementOf<"index_frame"> =>
  element.kind === "map_frame" || element.kind === "index_frame";

// Frames that carry grids, and that a scale bar can belong to.
export const isGridded = (element: Element): element is GriddedElement =>
  isFrame(element) || element.kind === "locator";
