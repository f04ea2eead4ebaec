// What an extent becomes when its ground is moved or shown at another scale by hand.
import type { FrameExtent, InsetKind } from "../../api/types";
import { defaults } from "../../generated/defaults";
import { round } from "../../page/onGround";
import type { FramePlace } from "./useFrames";

type Way = [number, number];

/** As it is given, or as its kind has it. */
export const extentOf = (element: InsetKind): FrameExtent =>
  element.extent ?? (defaults[`${element.kind}_element`].extent as FrameExtent);

/**
 * The way of the middle of what is shown, in units of the ground, when the hand goes so many mm on the page: the ground
 * goes with the hand, so that the middle goes the other way.
 */
export function groundWay({ to_ground: [a, b, c, d] }: Pick<FramePlace, "to_ground">, [dx, dy]: Way): Way {
  return [-(a * dx + c * dy), -(b * dx + d * dy)];
}

/**
 * A detail goes along in its frame; a fixed place moves; what followed the sheet, the index or a feature becomes a
 * fixed place as it is shown now.
 */
export function movedExtent(extent: FrameExtent, place: FramePlace, way: Way): FrameExtent {
  const [east, north] = groundWay(place, way);
  if (extent.kind === "detail") {
    const times = extent.times ?? defaults.detail_extent.times;
    return extent.at_mm
      ? { ...extent, at_mm: [round(extent.at_mm[0] - way[0] / times), round(extent.at_mm[1] - way[1] / times)] }
      : { ...extent, at: [round(extent.at![0] + east), round(extent.at![1] + north)] };
  }
  return {
    kind: "fixed",
    x: round(place.x + east),
    y: round(place.y + north),
    scale: extent.kind === "fixed" ? extent.scale : Math.max(1, Math.round(place.scale)),
    ...(place.rotation_deg !== 0 && { rotation_deg: round(place.rotation_deg) }),
  };
}

/** Held at another scale than it is shown at. */
export function rescaledExtent(extent: FrameExtent, shown: number, scale: number): FrameExtent {
  if (extent.kind === "detail")
    return { ...extent, times: round(((extent.times ?? defaults.detail_extent.times) * shown) / scale) };
  return extent.kind === "fixed" ? { ...extent, scale } : { ...extent, size: "held", scale };
}
