import { Box, Typography } from "@mui/material";
import { useEffect, useRef, useState, type DragEvent, type MouseEvent, type ReactNode } from "react";
import { Link, useLocation } from "react-router";
import { useBook, useChange } from "../api/book";
import { sheetPicture } from "../api/history";
import type { Book, Cell } from "../api/types";
import { count } from "../api/words";
import { toldElsewhere } from "../api/toldElsewhere";
import { useAlso } from "./useAlso";
import { pageAt, pageCount } from "./bookPages";
import { DrawnPicture, PictureProblem, useServerPicture } from "./ServerPicture";
import { SMALL_PICTURES } from "./turns";
import { useRested } from "./useRested";
import { useSheet } from "./useSheet";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const REST_MS = 1000;

// A picture with its gap, and how many more than fit are drawn on either side.
const STEP = 94,
  SPARE = 6;

/**
 * The book's sheets in order, as small pictures: those in view, so that thousands cost no more than a few. One can be
 * dragged to another place.
 */
export function Strip() {
  const book = useBook();
  // The page itself comes first: small pictures follow when changes rest.
  const drawn = useRested(book.revision, REST_MS);
  const { ask } = useChange();
  const { number, place: shown, go } = useSheet();
  const { also, setAlso } = useAlso();
  // One alone: those that were selected beside the one before are no longer.
  const pick = (number: number) => {
    if (also.length > 0) setAlso(() => []);
    go(number);
  };
  const away = offPage(book);
  const strip = useRef<HTMLElement>(null);
  const [view, setView] = useState({ from: 0, wide: 1280 });
  const [dragged, setDragged] = useState<number | null>(null);
  const [over, setOver] = useState<number | null>(null);
  // Before the pages: what lies off the page, and the index where the book has no sheet for it.
  const pictured = !book.document.index_layout && book.at === undefined;
  const before = ((away.length > 0 ? 1 : 0) + (pictured ? 1 : 0)) * STEP;
  const all = pageCount(book);
  const measure = () => {
    const element = strip.current;
    if (element) setView({ from: element.scrollLeft, wide: element.clientWidth });
  };
  useEffect(() => {
    const element = strip.current;
    if (!element) return;
    const watcher = new ResizeObserver(measure);
    watcher.observe(element);
    return () => watcher.disconnect();
  }, []);
  // The sheet that is looked at stays in view.
  useEffect(() => {
    const element = strip.current;
    if (!element || number === null) return;
    const left = before + shown * STEP,
      right = left + STEP;
    if (left < element.scrollLeft) element.scrollLeft = left - 14;
    else if (right > element.scrollLeft + element.clientWidth) element.scrollLeft = right - element.clientWidth + 14;
    measure();
  }, [number, shown, before]);
  const first = Math.max(Math.floor((view.from - before) / STEP) - SPARE, 0);
  const last = Math.min(Math.ceil((view.from + view.wide - before) / STEP) + SPARE, all);
  const drop = (place: number) => {
    const cell = book.cells.find((known) => known.number === dragged);
    if (cell && dragged !== place) void ask("cells", { do: "place", cells: [cell.id], place }).catch(toldElsewhere);
    setDragged(null);
    setOver(null);
  };
  return (
    <Box
      component="footer"
      ref={strip}
      onScroll={measure}
      sx={{
        flexShrink: 0,
        height: 104,
        bgcolor: "table.strip",
        borderTop: 1,
        borderColor: "table.edge",
        overflowX: "auto",
        overflowY: "hidden",
      }}
    >
      {book.cells.length === 0 ? (
        <Typography sx={{ p: 2, color: "text.secondary" }}>
          {t("No sheets yet. In Weave, choose the area to cover.")}
        </Typography>
      ) : (
        <Box
          component="ol"
          aria-label={count(book.cells.length, "sheet")}
          sx={{
            position: "relative",
            m: 0,
            p: 0,
            listStyle: "none",
            height: "100%",
            width: before + all * STEP + 20,
          }}
        >
          {away.length > 0 && (
            <Item left={0}>
              <Box
                component={Link}
                to={`/books/${book.id}/sheet?selected=${away[0]}`}
                sx={{
                  display: "grid",
                  placeItems: "center",
                  alignContent: "center",
                  width: 86,
                  height: 62,
                  fontSize: 12,
                  textAlign: "center",
                  color: "warning.main",
                  fontWeight: 600,
                  border: 2,
                  borderStyle: "dashed",
                  borderColor: "warning.main",
                  textDecoration: "none",
                }}
              >
                {rich(t("<1/> off the page"), { 1: count(away.length, "element") })}
              </Box>
            </Item>
          )}
          {pictured && (
            <Item left={before - STEP}>
              <Picture
                to={`/books/${book.id}/weave`}
                image={`/api/books/${book.id}/index.svg?r=${drawn}`}
                name="Index"
                note=""
              />
            </Item>
          )}
          {Array.from({ length: Math.max(last - first, 0) }, (_, index) => first + index).map((place) => {
            const leaf = pageAt(book, place);
            if (!leaf) return null;
            const { cell: known, page } = leaf;
            if (page)
              return (
                <Item key={page.number} left={before + place * STEP}>
                  <Picture
                    current={page.number === number}
                    onPick={() => go(page.number)}
                    image={`${sheetPicture(book, page.number, drawn)}&thumb=1`}
                    name={page.name}
                    note={page.folio === null || page.kind === "index" ? "" : `p. ${page.folio}`}
                  />
                </Item>
              );
            return (
              <Item
                key={known.number}
                left={before + place * STEP}
                marked={over === known.number}
                dragging={
                  book.at === undefined
                    ? {
                        onDragStart: () => setDragged(known.number),
                        onDragEnd: () => {
                          setDragged(null);
                          setOver(null);
                        },
                        onDragOver: (event) => {
                          if (dragged !== null) {
                            event.preventDefault();
                            setOver(known.number);
                          }
                        },
                        onDrop: (event) => {
                          event.preventDefault();
                          drop(known.number);
                        },
                      }
                    : undefined
                }
              >
                <Picture
                  current={known.number === number}
                  also={also.includes(known.number)}
                  onPick={(more) => (more ? setAlso((list) => toggled(list, known.number)) : pick(known.number))}
                  image={`${sheetPicture(book, known.number, drawn)}&thumb=1`}
                  name={known.name}
                  note={`${marks(known)}${known.number}`}
                />
              </Item>
            );
          })}
        </Box>
      )}
    </Box>
  );
}

const toggled = (list: number[], number: number) =>
  list.includes(number) ? list.filter((known) => known !== number) : [...list, number];

// It stayed as it was when the frame or the data changed; it is pinned.
const marks = (cell: Cell) => [cell.kept && t("◆ unchanged · "), cell.pinned && "■ "].filter(Boolean).join("");

interface Dragging {
  onDragStart: () => void;
  onDragEnd: () => void;
  onDragOver: (event: DragEvent) => void;
  onDrop: (event: DragEvent) => void;
}

// A place of the strip.
function Item({
  left,
  marked = false,
  dragging,
  children,
}: {
  left: number;
  marked?: boolean;
  dragging?: Dragging;
  children: ReactNode;
}) {
  return (
    <Box
      component="li"
      draggable={!!dragging}
      {...dragging}
      sx={{ position: "absolute", left: left + 14, top: 5, borderLeft: marked ? 3 : 0, borderColor: "primary.main" }}
    >
      {children}
    </Box>
  );
}

// Ids of elements that lie wholly beyond the page.
function offPage(book: Book): string[] {
  return book.document.layout.elements
    .filter((element) => !element.hidden)
    .map((element) => element.id)
    .filter((id) => {
      const [left, top, width, height] = book.frame.elements[id]!;
      return (
        left >= book.frame.page_width_mm || left + width <= 0 || top >= book.frame.page_height_mm || top + height <= 0
      );
    });
}

interface PictureProps {
  image: string;
  name: string;
  note: string;
  current?: boolean;
  // Selected beside the one that is looked at?
  also?: boolean;
  to?: string;
  // more: beside those that are selected.
  onPick?: (more: boolean) => void;
}

// A small picture with its name: a sheet to go to, or the key that leads to the cells.
function Picture({ image, name, note, current = false, also = false, to, onPick }: PictureProps) {
  const { search } = useLocation();
  const picture = useServerPicture(image, SMALL_PICTURES);
  const target = to
    ? { component: Link, to: `${to}${search}` }
    : {
        component: "button" as const,
        "aria-pressed": also || undefined,
        onClick: (event: MouseEvent) => onPick?.(event.shiftKey || event.ctrlKey || event.metaKey),
      };
  return (
    <Box sx={{ position: "relative" }}>
      <Box
        {...target}
        aria-current={current ? "true" : undefined}
        sx={{
          p: 0,
          border: 0,
          bgcolor: "transparent",
          cursor: "pointer",
          font: "inherit",
          color: "text.primary",
          display: "block",
          width: 86,
          textDecoration: "none",
          "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" },
        }}
      >
        <DrawnPicture
          picture={picture}
          sx={{
            display: "block",
            width: 86,
            height: 62,
            objectFit: "contain",
            bgcolor: "#fff",
            outline: current ? "3px solid" : also ? "3px dashed" : "1px solid",
            outlineColor: current || also ? "primary.main" : "table.edge",
          }}
        />
        <Box
          component="span"
          sx={{
            display: "flex",
            justifyContent: "space-between",
            fontSize: 12,
            mt: 0.5,
            fontWeight: current ? 700 : 400,
            whiteSpace: "nowrap",
            overflow: "hidden",
          }}
        >
          <span>{name}</span>{" "}
          <Box component="span" sx={{ color: "text.secondary" }}>
            {note}
          </Box>
        </Box>
      </Box>
      <Box sx={{ position: "absolute", top: 34, left: 8 }}>
        <PictureProblem picture={picture} name={name} small />
      </Box>
    </Box>
  );
}
