import { useCallback, useMemo } from "react";
import { useBook, useChange } from "../api/book";
import type { Book, BookDocument, FreePage, Frame, Guides, Layout, Page, Patch } from "../api/types";
import { merged } from "../api/merged";
import { useSheet } from "../frame/useSheet";

const NONE: Guides = {};

export type Role = "sheets" | "index" | "pages";

export interface DesignedLayout {
  role: Role;
  // The free page, where it is one that is designed.
  page: FreePage | undefined;
  layout: Layout;
  frame: Frame;
  guides: Guides;
  // The number of the page that is drawn under it; none while no index is there.
  sheet: number | null;
  // By how many mm everything on this page lies further along, where the book is printed on both sides.
  shift: number;
  keep: (label: string, patch: Patch<Layout>) => Promise<Book>;
  keepPage: (label: string, patch: Partial<Page>) => Promise<Book>;
  ask: <T extends Book>(path: string, body: object) => Promise<T>;
}

/**
 * The layout that is being designed: that of the sheets, or that of the index sheet or a free page where it is looked
 * at.
 */
export function useLayout(): DesignedLayout {
  const book = useBook();
  const { change, ask } = useChange();
  const { number, cell, page: beside, place } = useSheet();
  const page = book.document.pages?.find((known) => known.id === beside?.page);
  const index = beside?.kind === "index" && book.document.index_layout && book.index_frame;
  const role: Role = index ? "index" : page ? "pages" : "sheets";
  const id = page?.id;
  const pages = book.document.pages;
  const keep = useCallback(
    (label: string, patch: Patch<Layout>) =>
      change(
        label,
        (role === "index"
          ? { index_layout: patch }
          : role === "pages"
            ? {
                pages: pages!.map((known) =>
                  known.id === id ? { ...known, layout: merged(known.layout, patch) } : known,
                ),
              }
            : { layout: patch }) as Patch<BookDocument>,
      ),
    [change, role, pages, id],
  );
  const asked = useCallback(
    <T extends Book>(path: string, body: object) => ask<T>(path, { ...body, role, ...(id && { page: id }) }),
    [ask, role, id],
  );
  const shown = role === "sheets" ? ((cell ?? book.cells[0])?.number ?? null) : number;
  const frame = role === "index" ? book.index_frame! : page ? (book.page_frames[page.id] ?? book.frame) : book.frame;
  // Places in the book count from 0, pages from 1.
  const shift = shown !== null && place % 2 === 1 ? frame.even_shift_mm : 0;
  const designed = index ? book.document.index_layout! : page ? page.layout : book.document.layout;
  return useMemo(
    () => ({
      role,
      page,
      keep,
      keepPage: (label, patch) => keep(label, { page: patch as never }),
      ask: asked,
      layout: designed,
      frame,
      guides: designed.guides ?? NONE,
      sheet: shown,
      shift,
    }),
    [role, page, designed, frame, keep, asked, shown, shift],
  );
}
