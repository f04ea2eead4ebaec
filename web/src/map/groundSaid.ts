import type { GroundState } from "./GroundLayer";
import { t } from "../texts/t";

/** What is to be said of how the drawing of the ground stands, or null. */
export function groundSaid(state: GroundState): string | null {
  if (state.kind === "waiting") return t("Drawing the map … %{seconds} s", { seconds: state.seconds });
  if (state.kind === "more") return t("Part of the map is still being drawn.");
  return state.kind === "failed" ? t("The map could not be drawn; move it to try again.") : null;
}
