import { useBook, useChange } from "../api/book";
import type { Page } from "../api/types";
import { count, groundSize, mm, ratio, paperSize } from "../api/words";
import { readLength } from "../numbers/lengths";
import { written } from "../numbers/written";
import { filled } from "../fields/filled";
import { pageCount } from "../frame/bookPages";
import { useSheet } from "../frame/useSheet";
import { defaults } from "../generated/defaults";
import { pageSizes } from "../generated/kinds";
import { CardValue } from "../statement/CardValue";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import { useFrames } from "./frames/useFrames";
import { useLayout } from "./layout";

// A shipped design is named by its file; a kept one by what it was called.
const designTitle = (name: string) =>
  /^[a-z-]+$/.test(name)
    ? name.replaceAll("-", " ").replace(/^./, (letter) => letter.toUpperCase())
    : name || "own design";

interface PageStatementProps {
  // Is the card of designs open, and what opens it?
  designs: boolean;
  onDesigns: () => void;
  // Another page is shown.
  onPage: () => void;
  // One more page beside the sheets is wanted.
  onNewPage: () => void;
}

const NEW_PAGE = "new page";

/** The page as a sentence, each value of which can be changed. */
export function PageStatement({ designs, onDesigns, onPage, onNewPage }: PageStatementProps) {
  const book = useBook();
  const { ask: askBook } = useChange();
  const { go } = useSheet();
  const { role, page: free, layout, frame, ask, keepPage } = useLayout();
  const page = layout.page;
  const margins = Object.values(page.margins_mm);
  const even = margins.every((margin) => margin === margins[0]);
  return (
    <Statement answer={<FrameInWords />}>
      Print{" "}
      <ChoiceValue
        label="Which page"
        value={free?.id ?? role}
        choices={[
          { value: "sheets", title: "the sheets", note: "every cell of the index" },
          {
            value: "index",
            title: "the index sheet",
            note: book.document.index_layout ? "the whole index, by name" : "add one: the whole index, by name",
          },
          ...(book.document.pages ?? []).map((known) => ({
            value: known.id,
            title: `the page “${known.title}”`,
            note: "a page beside the sheets",
          })),
          { value: NEW_PAGE, title: "a new page", note: "cover, title, contents, notes, back cover, empty" },
        ]}
        onChoose={async (chosen) => {
          onPage();
          if (chosen === NEW_PAGE) return onNewPage();
          if (chosen === "index" && !book.document.index_layout) await askBook("layout/index", { on: true });
          const page = book.pages.find((known) => known.page === chosen && known.kind === "page");
          go(page ? page.number : chosen === "index" ? 0 : 1);
        }}
      />{" "}
      on{" "}
      <ChoiceValue
        label="Page size"
        value={page.size}
        choices={[
          ...pageSizes.map((size) => ({ value: size, title: size })),
          { value: "custom", title: "custom", note: "width and height of your own" },
          ...(role === "sheets"
            ? [{ value: "map", title: "the map’s proportion", note: "this width, as high as the study area asks" }]
            : []),
        ]}
        onChoose={(size) =>
          size === "map"
            ? ask("layout/proportion", {})
            : keepPage(
                "Page size",
                size === "custom"
                  ? { size, width_mm: frame.page_width_mm, height_mm: frame.page_height_mm }
                  : { size: size as typeof page.size },
              )
        }
      />{" "}
      <ChoiceValue
        label="Orientation"
        value={page.orientation ?? "portrait"}
        choices={[
          { value: "landscape", title: "landscape" },
          { value: "portrait", title: "portrait" },
        ]}
        onChoose={(orientation) => keepPage("Orientation", { orientation: orientation as Page["orientation"] })}
      />{" "}
      with margins of{" "}
      <EntryValue
        label="Margins, all four"
        shown={even ? mm(margins[0]!) : "different widths"}
        text={even ? written(margins[0]!) : ""}
        unit="mm"
        read={(text) => readLength(text, "mm")}
        expected="Enter millimetres, such as 10."
        onSave={(width) =>
          keepPage("Margins", { margins_mm: { top: width, right: width, bottom: width, left: width } })
        }
      />
      , <BindingValues />
      {role === "sheets" && (
        <>
          , from the design{" "}
          <CardValue label="Design" shown={designTitle(layout.name ?? "")} open={designs} onOpen={onDesigns} />
        </>
      )}
      .
    </Statement>
  );
}

// What the cells of the index frame have written in them.
const cellWords = {
  names: "with the names of",
  numbers: "with the numbers of",
  both: "with the numbers and names of",
  none: "for",
};

// What the frame comes to.
function FrameInWords() {
  const book = useBook();
  const { cell, page: shown } = useSheet();
  const { role, frame, layout } = useLayout();
  const { places } = useFrames();
  const indexFrame = layout.elements.find((known) => known.kind === "index_frame");
  const labels = filled(indexFrame?.kind === "index_frame" ? indexFrame.cells : null, defaults.cells_shown).labels;
  const indexed = places.find((known) => known.id === indexFrame?.id);
  const scale = book.document.index.scale;
  const indexes = book.pages.filter((known) => known.kind === "index").length;
  if (role === "pages" && shown)
    return (
      <>
        Page {shown.position} of {pageCount(book)}; it prints{" "}
        {shown.folio === null ? (
          "no number"
        ) : (
          <>
            the number <b>{shown.folio}</b>
          </>
        )}
        .
      </>
    );
  return role === "index" ? (
    <>
      The index frame is <b>{paperSize(frame.width_mm, frame.height_mm)}</b> at{" "}
      <b>{indexed ? ratio(indexed.scale) : "…"}</b>, {cellWords[labels]}{" "}
      <b>{count(shown?.sheets ?? book.cells.length, "sheet")}</b>. The index{" "}
      {indexes > 1 ? `has ${indexes} sheets, which come` : "sheet comes"}{" "}
      {book.document.index_pages?.place === "last" ? "after" : "before"} the others.
    </>
  ) : (
    <>
      The frame is <b>{paperSize(book.frame.width_mm, book.frame.height_mm)}</b> and shows{" "}
      {book.sheet_m && (
        <>
          <b>{groundSize(...book.sheet_m)}</b> of ground{" "}
        </>
      )}
      at {ratio(scale)}; <b>{count(book.cells.length, "sheet")}</b> in all. The scale is held when the page changes.{" "}
      {cell && (
        <>
          Showing <b>{cell.name}</b>.
        </>
      )}
    </>
  );
}

// The bound edge, its gutter, and on how many sides is printed.
function BindingValues() {
  const { layout, keep } = useLayout();
  const page = layout.page;
  const bound = page.binding?.edge ?? "none";
  return (
    <>
      <ChoiceValue
        label="Binding edge"
        value={bound}
        shown={bound === "none" ? "unbound" : `bound ${bound}`}
        choices={[
          { value: "none", title: "unbound" },
          { value: "left", title: "left" },
          { value: "top", title: "top" },
          { value: "right", title: "right" },
        ]}
        onChoose={(edge) =>
          keep("Binding edge", {
            page: {
              binding: edge === "none" ? null : { edge: edge as "left", gutter_mm: page.binding?.gutter_mm ?? 12 },
            },
          })
        }
      />
      {page.binding && (
        <>
          {" "}
          with{" "}
          <EntryValue
            label="Gutter, the extra room on the bound edge"
            shown={mm(page.binding.gutter_mm)}
            text={written(page.binding.gutter_mm)}
            unit="mm"
            read={(text) => readLength(text, "mm")}
            expected="Enter millimetres, such as 12."
            onSave={(gutter_mm) => keep("Gutter", { page: { binding: { gutter_mm } } })}
          />{" "}
          more
          {page.binding.edge !== "top" && (
            <>
              , printed on{" "}
              <ChoiceValue
                label="Printed on"
                value={page.binding.mirrored ? "both" : "one"}
                choices={[
                  { value: "one", title: "one side" },
                  { value: "both", title: "both sides", note: "even pages mirrored" },
                ]}
                onChoose={(sides) =>
                  keep("Sides", { page: { binding: { mirrored: sides === "both" ? true : null } as never } })
                }
              />
            </>
          )}
        </>
      )}
    </>
  );
}
