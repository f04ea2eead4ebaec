import { useQuery } from "@tanstack/react-query";
import { useBook } from "../../api/book";
import { get } from "../../api/client";
import type { FrameExtent } from "../../api/types";
import { useLayout } from "../layout";
import { round, toGround, toPage } from "../../page/onGround";
import type { FramePlace } from "../../generated/answers";
import { t } from "../../texts/t";

export type { FramePlace };

type Detail = Extract<FrameExtent, { kind: "detail" }>;

/**
 * Where a place of the ground lies in a frame, from its left and upper edge in mm; corner: of the frame on the page.
 */
export function detailIn(
  { to_ground }: Pick<FramePlace, "to_ground">,
  [left, top]: [number, number],
  place: [number, number],
): [number, number] {
  const [x, y] = toPage(to_ground, place);
  return [x - left, y - top];
}

/** The places that the frames of a page show. */
export function useFrames() {
  const book = useBook();
  const { sheet, layout, frame: boxes } = useLayout();
  const path = `/api/books/${book.id}/sheets/${sheet}/frames`;
  const { data } = useQuery({
    queryKey: ["frames", book.id, book.revision, sheet],
    queryFn: ({ signal }) => get<FramePlace[]>(path, signal),
    enabled: sheet !== null,
    staleTime: Infinity,
  });
  const placeOf = async (id: string): Promise<FramePlace> => {
    const places = data ?? (await get<FramePlace[]>(path));
    const found = places.find((known) => known.id === id) ?? places[0];
    if (!found) throw new Error(t("This page shows no ground yet."));
    return { ...found, x: round(found.x), y: round(found.y), scale: Math.max(1, Math.round(found.scale)) };
  };
  // A detail with its middle in the frame that it is of, or on the ground.
  const detailPlace = async (extent: Detail, way: "frame" | "ground"): Promise<Detail> => {
    const main = layout.elements.find((known) => known.kind === "map_frame" || known.kind === "index_frame");
    const id = extent.frame ?? main?.id ?? "";
    const { to_ground: map } = await placeOf(id);
    const [left, top] = boxes.elements[id] ?? [0, 0];
    if (way === "ground" && extent.at_mm) {
      const at = toGround(map, [left + extent.at_mm[0]!, top + extent.at_mm[1]!]);
      return { ...extent, at_mm: undefined, at };
    }
    if (way === "frame" && extent.at) {
      const [x, y] = detailIn({ to_ground: map }, [left, top], extent.at as [number, number]);
      return { ...extent, at: undefined, at_mm: [round(x), round(y)] };
    }
    return extent;
  };
  return { places: data ?? [], placeOf, detailPlace };
}
