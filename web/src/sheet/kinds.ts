import type { Element, ElementOf, GriddedElement } from "../api/types";
import { filled, type Filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { elements, elementTraits } from "../generated/kinds";
import type { Role } from "./layout";

export type ElementKind = Element["kind"];

/** An element with what it does not say filled in. */
export function whole<Kind extends ElementKind>(
  element: ElementOf<Kind>,
): Filled<ElementOf<Kind>, (typeof defaults)[`${Kind}_element`]> {
  return filled(element, defaults[`${element.kind as Kind}_element`]);
}

/** What each kind of element is called, as menus have it. */
export const elementTitles = Object.fromEntries(elements) as Record<ElementKind, string>;

interface Traits {
  // Of a new one.
  sizeMm: readonly [number, number];
  // By hand; a north arrow turns with its frame alone.
  turns: boolean;
  // Does it carry coordinate grids?
  gridded: boolean;
  // The pages that take one more; no page: it has its one already.
  roles: readonly Role[];
}
/** What is known of each kind of element. */
export const traits: Record<ElementKind, Traits> = elementTraits;

/** Does an element turn by hand? */
export const rotates = (element: Element) => traits[element.kind].turns;

/** The frames that decide what a page shows: one of each, never copied, never taken away. */
export const isFrame = (element: { kind: ElementKind }): element is ElementOf<"map_frame"> | ElementOf<"index_frame"> =>
  traits[element.kind].roles.length === 0;

/** Frames that carry grids, and that a scale bar can belong to. */
export const isGridded = (element: Element): element is GriddedElement => traits[element.kind].gridded;
