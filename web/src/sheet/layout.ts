import { useCallback, useMemo } from "react";
import { useBook, useChange } from "../api/book";
import type { Book, BookDocument, Frame, Guides, Layout, Page, Patch } from "../api/types";
import { useSheet } from "../frame/useSheet";

const NONE: Guides = {};

export type Role = "sheets" | "index";

export interface DesignedLayout {
  role: Role;
  layout: Layout;
  frame: Frame;
  guides: Guides;
  // The sheet that is drawn under it, 0 for the index sheet; none while no index is there.
  sheet: number | null;
  // By how many mm everything on this page lies further along, where the book is printed on both sides.
  shift: number;
  keep: (label: string, patch: Patch<Layout>) => Promise<Book>;
  keepPage: (label: string, patch: Partial<Page>) => Promise<Book>;
  ask: <T extends Book>(path: string, body: object) => Promise<T>;
}

// The layout that is being designed: that of the sheets, or that of the index sheet where it is looked at.
export function useLayout(): DesignedLayout {
  const book = useBook();
  const { change, ask } = useChange();
  const { number, cell } = useSheet();
  const index = number === 0 && book.document.index_layout && book.index_frame;
  const role: Role = index ? "index" : "sheets";
  const keep = useCallback(
    (label: string, patch: Patch<Layout>) =>
      change(label, (role === "index" ? { index_layout: patch } : { layout: patch }) as Patch<BookDocument>),
    [change, role],
  );
  const asked = useCallback(
    <T extends Book>(path: string, body: object) => ask<T>(path, { ...body, role }),
    [ask, role],
  );
  const shown = role === "index" ? 0 : ((cell ?? book.cells[0])?.number ?? null);
  // The index sheet is the first page, if there is one.
  const shift =
    role === "sheets" && shown !== null && (shown + (book.document.index_layout ? 1 : 0)) % 2 === 0
      ? book.frame.even_shift_mm
      : 0;
  const designed = index ? book.document.index_layout! : book.document.layout;
  return useMemo(
    () => ({
      role,
      keep,
      keepPage: (label, patch) => keep(label, { page: patch as never }),
      ask: asked,
      layout: designed,
      frame: role === "index" ? book.index_frame! : book.frame,
      guides: designed.guides ?? NONE,
      sheet: shown,
      shift,
    }),
    [book, role, designed, keep, asked, shown, shift],
  );
}
