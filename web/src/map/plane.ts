import Projection from "ol/proj/Projection";

const PLANE = new Projection({
  code: "tile-loom-book",
  units: "m",
  getPointResolution: (resolution) => resolution,
  global: false,
  extent: [-1e8, -1e8, 1e8, 1e8],
});

/**
 * The plane of the book's reference. No projection is computed in the browser: coordinates come from the server in the
 * book's own units.
 */
export function bookPlane() {
  return PLANE;
}
