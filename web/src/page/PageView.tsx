import { Box, Button, ButtonGroup } from "@mui/material";
import { useQuery, keepPreviousData } from "@tanstack/react-query";
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from "react";
import { useBook } from "../api/book";
import { getText, Refusal } from "../api/client";
import type { Guides, Rectangle } from "../api/types";
import { useShortcuts } from "../frame/useShortcuts";
import { GuideLines, useGuides } from "./guides";
import { Ruler } from "./Ruler";

const RULER = 24;
const PX_PER_MM = 96 / 25.4;

const NO_GUIDES: Guides = {};

interface PageViewProps {
  // 0 for the index sheet.
  sheet: number;
  // fault: the path in the document of what keeps the sheet from being drawn.
  overlay?: (perMm: number, fault: string | undefined) => ReactNode;
  // What can be looked at closely: what is selected, on the page.
  selected?: Rectangle | null;
  guides?: Guides;
  onGuides?: (guides: Guides) => Promise<unknown>;
}

// A sheet exactly as it will print, on a quiet surface between rulers in millimetres.
export function PageView({ sheet, overlay, selected, guides = NO_GUIDES, onGuides }: PageViewProps) {
  const book = useBook();
  const { page_width_mm: width, page_height_mm: height } = (sheet === 0 && book.index_frame) || book.frame;
  const drawing = useQuery({
    queryKey: ["sheet", book.id, book.revision, sheet],
    queryFn: ({ signal }) => getText(`/api/books/${book.id}/sheets/${sheet}.svg?r=${book.revision}`, signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const surface = useRef<HTMLDivElement>(null);
  const paper = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 800, height: 500 });
  const [zoom, setZoom] = useState<number | null>(null);
  const [scroll, setScroll] = useState({ x: 0, y: 0 });
  useEffect(() => {
    const element = surface.current;
    if (!element) return;
    const watcher = new ResizeObserver(() => setRoom({ width: element.clientWidth, height: element.clientHeight }));
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  const fit = Math.min((room.width - 40) / width, (room.height - 36) / height);
  const perMm = zoom === null ? fit : zoom * PX_PER_MM;
  const left = Math.max((room.width - width * perMm) / 2, 20);
  const top = Math.max((room.height - height * perMm) / 2, 18);
  // What is in the middle of the view stays there when the page grows or shrinks, unless something else is
  // to come there.
  const before = useRef({ perMm, left, top });
  const middle = useRef<[number, number] | null>(null);
  useLayoutEffect(() => {
    const element = surface.current;
    const old = before.current;
    before.current = { perMm, left, top };
    if (!element) return;
    if (middle.current) {
      const [x, y] = middle.current;
      middle.current = null;
      element.scrollTo(x * perMm + left - element.clientWidth / 2, y * perMm + top - element.clientHeight / 2);
      return;
    }
    if (old.perMm === perMm) return;
    const x = (element.scrollLeft + element.clientWidth / 2 - old.left) / old.perMm;
    const y = (element.scrollTop + element.clientHeight / 2 - old.top) / old.perMm;
    element.scrollTo(x * perMm + left - element.clientWidth / 2, y * perMm + top - element.clientHeight / 2);
  });
  const widthZoom = (room.width - 40) / width / PX_PER_MM;
  const closeUp = useCallback(() => {
    if (!selected) return;
    middle.current = [selected[0] + selected[2] / 2, selected[1] + selected[3] / 2];
    setZoom(
      Math.min(
        Math.max(
          Math.min((room.width - 80) / Math.max(selected[2], 2), (room.height - 80) / Math.max(selected[3], 2)) /
            PX_PER_MM,
          0.1,
        ),
        8,
      ),
    );
  }, [selected, room]);
  const { pulled, pull } = useGuides(paper, perMm, { x: width, y: height }, guides, onGuides);
  const step = (factor: number) => setZoom(Math.min(Math.max((perMm / PX_PER_MM) * factor, 0.1), 8));
  const keys = useMemo(() => {
    const now = perMm / PX_PER_MM;
    const to = (value: number) => () => setZoom(Math.min(Math.max(value, 0.1), 8));
    return {
      "+": to(now * 1.25),
      "=": to(now * 1.25),
      "-": to(now / 1.25),
      f: () => setZoom(null),
      a: to(1),
      w: () => setZoom(widthZoom),
      s: closeUp,
    };
  }, [perMm, widthZoom, closeUp]);
  useShortcuts(keys);
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
        aria-label="The page"
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
            aria-label={`${sheet === 0 ? "Index sheet" : `Sheet ${sheet}`}, ${width} × ${height} mm`}
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
              {overlay(perMm, drawing.error instanceof Refusal ? drawing.error.path : undefined)}
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
      <ButtonGroup
        size="small"
        variant="outlined"
        sx={{
          position: "absolute",
          right: 0,
          top: 0,
          height: RULER,
          zIndex: 2,
          bgcolor: "background.paper",
          "& .MuiButton-root": { py: 0, fontSize: 12.5 },
        }}
        aria-label="Zoom"
      >
        <Button onClick={() => step(1 / 1.25)} aria-label="Smaller">
          −
        </Button>
        <Button
          onClick={() => setZoom(1)}
          aria-label={`${Math.round((perMm / PX_PER_MM) * 100)} %: show at actual size`}
        >
          {Math.round((perMm / PX_PER_MM) * 100)} %
        </Button>
        <Button onClick={() => step(1.25)} aria-label="Larger">
          +
        </Button>
        <Button onClick={() => setZoom(null)} aria-pressed={zoom === null}>
          Page
        </Button>
        <Button onClick={() => setZoom(widthZoom)}>Width</Button>
        {selected !== undefined && (
          <Button onClick={closeUp} disabled={!selected}>
            Selection
          </Button>
        )}
      </ButtonGroup>
    </Box>
  );
}
