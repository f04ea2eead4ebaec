import type { GroundState } from "./GroundLayer";

/** What is to be said of how the drawing of the ground stands, or null. */
export function groundSaid(state: GroundState): string | null {
  if (state.kind === "waiting") return `Drawing the map … ${state.seconds} s`;
  if (state.kind === "more") return "Part of the map is still being drawn.";
  return state.kind === "failed" ? "The map could not be drawn; move it to try again." : null;
}
