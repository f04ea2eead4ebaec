import { Box } from "@mui/material";
import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState, type ReactNode } from "react";
import { useBook } from "../api/book";
import { Refusal, getText } from "../api/client";
import { AGAIN_MS, incomplete } from "../api/incomplete";
import { sheetPicture } from "../api/history";
import type { Book, Guides, Rectangle } from "../api/types";
import { useRested } from "../frame/useRested";
import { RULER, Ruler } from "./Ruler";
import { ZoomButtons } from "./ZoomButtons";
import { GuideLines, useGuides } from "./guides";
import { useZoom } from "./useZoom";
import { t } from "../texts/t";

const NO_GUIDES: Guides = {};

interface PageViewProps {
  // 0 for the index sheet.
  sheet: number;
  // fault: the path in the document of what keeps the sheet from being drawn.
  overlay?: (perMm: number, fault: string | undefined, size: [number, number]) => ReactNode;
  // What can be looked at closely: what is selected, on the page.
  selected?: Rectangle | null;
  guides?: Guides;
  onGuides?: (guides: Guides) => Promise<unknown>;
}

// Layers of pixels come finer where the page is looked at more closely, up to what prints.
const STEPS_PPI = [72, 144, 220];

function fineness(ppi: number, book: Book): string {
  if (!book.document.layers.some((layer) => layer.raster && layer.visible)) return "";
  const step = STEPS_PPI.find((known) => ppi <= known * 1.2);
  return `&ppi=${step ?? book.document.resolution_ppi ?? 300}`;
}

// What the page says of itself is out of date once all of it has come.
function useFactsOfWhole(book: Book, sheet: number, waiting: boolean) {
  const client = useQueryClient();
  const waited = useRef(false);
  useEffect(() => {
    if (waited.current && !waiting)
      void client.invalidateQueries({ queryKey: ["facts", book.id, book.revision, sheet] });
    waited.current = waiting;
  }, [client, book.id, book.revision, sheet, waiting]);
}

/** A sheet exactly as it will print, on a quiet surface between rulers in millimetres. */
export function PageView({ sheet, overlay, selected, guides = NO_GUIDES, onGuides }: PageViewProps) {
  const book = useBook();
  const { page_width_mm: width, page_height_mm: height } = (sheet === 0 && book.index_frame) || book.frame;
  const paper = useRef<HTMLDivElement>(null);
  const zoom = useZoom(width, height, selected);
  const fine = useRested(fineness(zoom.perMm * 25.4, book), 250);
  const drawing = useQuery({
    queryKey: ["sheet", book.id, book.revision, sheet, fine, book.at],
    queryFn: ({ signal }) => getText(`${sheetPicture(book, sheet)}${fine}`, signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    refetchInterval: (query) => (incomplete(query.state.data) ? AGAIN_MS : false),
  });
  useFactsOfWhole(book, sheet, incomplete(drawing.data));
  const { surface, room, perMm, left, top } = zoom;
  const [scroll, setScroll] = useState({ x: 0, y: 0 });
  const { pulled, pull } = useGuides(paper, perMm, { x: width, y: height }, guides, onGuides);
  return (
    <Box sx={{ flex: 1, minWidth: 0, position: "relative", bgcolor: "table.main", overflow: "hidden" }}>
      <Ruler
        across
        size={room.width}
        perMm={perMm}
        start={left - scroll.x}
        length={width}
        offset={RULER}
        onPull={onGuides && pull("y", null)}
      />
      <Ruler
        size={room.height}
        perMm={perMm}
        start={top - scroll.y}
        length={height}
        offset={RULER}
        onPull={onGuides && pull("x", null)}
      />
      <Box
        ref={surface}
        onScroll={(event) => setScroll({ x: event.currentTarget.scrollLeft, y: event.currentTarget.scrollTop })}
        tabIndex={0}
        role="region"
        aria-label={t("The page")}
        sx={{
          position: "absolute",
          inset: `${RULER}px 0 0 ${RULER}px`,
          overflow: "auto",
          "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: -2 },
        }}
      >
        <Box sx={{ position: "relative", width: left * 2 + width * perMm, height: top * 2 + height * perMm }}>
          <Box
            ref={paper}
            role="img"
            aria-label={t("%{value}, %{width} × %{height} mm", {
              value: sheet === 0 ? t("Index sheet") : t("Sheet %{sheet}", { sheet }),
              width,
              height,
            })}
            aria-busy={drawing.isFetching}
            data-sheet={drawing.isPlaceholderData ? "" : sheet}
            sx={{
              position: "absolute",
              left,
              top,
              width: width * perMm,
              height: height * perMm,
              bgcolor: "#fff",
              boxShadow: "0 1px 5px #0005",
              "& svg": { display: "block", width: "100%", height: "100%" },
            }}
            // The server's own drawing, escaped where it is written.
            dangerouslySetInnerHTML={drawing.data ? { __html: drawing.data } : undefined}
          />
          {overlay && (
            <Box sx={{ position: "absolute", left, top, width: width * perMm, height: height * perMm }}>
              {overlay(perMm, drawing.error instanceof Refusal ? drawing.error.path : undefined, [width, height])}
            </Box>
          )}
          <Box
            sx={{
              position: "absolute",
              left,
              top,
              width: width * perMm,
              height: height * perMm,
              pointerEvents: "none",
              "& [data-guide]": { pointerEvents: "auto" },
            }}
          >
            <GuideLines guides={guides} pulled={pulled} pull={pull} perMm={perMm} />
          </Box>
        </Box>
      </Box>
      {drawing.isError && (
        <Box
          role="alert"
          sx={{
            position: "absolute",
            left: 40,
            top: 36,
            p: 1.5,
            maxWidth: 480,
            bgcolor: "background.paper",
            border: 2,
            borderColor: "error.main",
            color: "error.main",
            fontWeight: 600,
          }}
        >
          {drawing.error.message}
        </Box>
      )}
      <ZoomButtons zoom={zoom} selected={selected} />
    </Box>
  );
}
