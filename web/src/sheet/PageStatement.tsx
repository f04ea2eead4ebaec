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
import { t } from "../texts/t";
import { rich } from "../texts/rich";

// A shipped design is named by its file; a kept one by what it was called.
const designTitle = (name: string) =>
  /^[a-z-]+$/.test(name)
    ? name.replaceAll("-", " ").replace(/^./, (letter) => letter.toUpperCase())
    : name || t("own design");

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
      {rich(t("Print <1/> on <2/> <3/> with margins of <4/>, <5/><6/>."), {
        1: (
          <ChoiceValue
            label={t("Which page")}
            value={free?.id ?? role}
            choices={[
              { value: "sheets", title: t("the sheets"), note: t("every cell of the index") },
              {
                value: "index",
                title: t("the index sheet"),
                note: book.document.index_layout ? t("the whole index, by name") : t("not in the book yet: add it"),
              },
              ...(book.document.pages ?? []).map((known) => ({
                value: known.id,
                title: t("the page “%{title}”", { title: known.title }),
                note: t("cover, notes and other pages"),
              })),
              { value: NEW_PAGE, title: t("a new page"), note: t("cover, title, contents, notes, back cover, empty") },
            ]}
            onChoose={async (chosen) => {
              onPage();
              if (chosen === NEW_PAGE) return onNewPage();
              if (chosen === "index" && !book.document.index_layout) await askBook("layout/index", { on: true });
              const page = book.pages.find((known) => known.page === chosen && known.kind === "page");
              go(page ? page.number : chosen === "index" ? 0 : 1);
            }}
          />
        ),
        2: (
          <ChoiceValue
            label={t("Page size")}
            value={page.size}
            choices={[
              ...pageSizes.map((size) => ({ value: size, title: size })),
              { value: "custom", title: t("custom"), note: t("custom width and height") },
              ...(role === "sheets"
                ? [
                    {
                      value: "map",
                      title: t("the map’s aspect ratio"),
                      note: t("this width, height to suit the study area"),
                    },
                  ]
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
          />
        ),
        3: (
          <ChoiceValue
            label={t("Orientation")}
            value={page.orientation ?? "portrait"}
            choices={[
              { value: "landscape", title: t("landscape") },
              { value: "portrait", title: t("portrait") },
            ]}
            onChoose={(orientation) => keepPage("Orientation", { orientation: orientation as Page["orientation"] })}
          />
        ),
        4: (
          <EntryValue
            label={t("Margins, all four")}
            shown={even ? mm(margins[0]!) : t("different widths")}
            text={even ? written(margins[0]!) : ""}
            unit="mm"
            read={(text) => readLength(text, "mm")}
            expected={t("Enter millimetres, such as 10.")}
            onSave={(width) =>
              keepPage("Margins", { margins_mm: { top: width, right: width, bottom: width, left: width } })
            }
          />
        ),
        5: <BindingValues />,
        6: role === "sheets" && (
          <>
            {rich(t(", from the design <1/>"), {
              1: (
                <CardValue
                  label={t("Design")}
                  shown={designTitle(layout.name ?? "")}
                  open={designs}
                  onOpen={onDesigns}
                />
              ),
            })}
          </>
        ),
      })}
    </Statement>
  );
}

// What the cells of the index frame have written in them.
const cellWords = {
  names: t("with the names of"),
  numbers: t("with the numbers of"),
  both: t("with the numbers and names of"),
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
        {rich(t("Page <1/> of <2/>; it prints <3/>."), {
          1: shown.position,
          2: pageCount(book),
          3: shown.folio === null ? t("no number") : <>{rich(t("the number <1/>"), { 1: <b>{shown.folio}</b> })}</>,
        })}
      </>
    );
  return role === "index" ? (
    <>
      {rich(t("The index frame is <1/> at <2/>, <3/> <4/>. The index <5/> <6/> the others."), {
        1: <b>{paperSize(frame.width_mm, frame.height_mm)}</b>,
        2: <b>{indexed ? ratio(indexed.scale) : "…"}</b>,
        3: cellWords[labels],
        4: <b>{count(shown?.sheets ?? book.cells.length, "sheet")}</b>,
        5: indexes > 1 ? t("has %{indexes} sheets, which come", { indexes }) : t("sheet comes"),
        6: book.document.index_pages?.place === "last" ? t("after") : t("before"),
      })}
    </>
  ) : (
    <>
      {rich(
        t("The frame is <1/> and shows <2/>at <3/>; <4/> in all. The scale stays the same when the page changes. <5/>"),
        {
          1: <b>{paperSize(book.frame.width_mm, book.frame.height_mm)}</b>,
          2: book.sheet_m && <>{rich(t("<1/> of ground"), { 1: <b>{groundSize(...book.sheet_m)}</b> })} </>,
          3: ratio(scale),
          4: <b>{count(book.cells.length, "sheet")}</b>,
          5: cell && <>{rich(t("Showing <1/>."), { 1: <b>{cell.name}</b> })}</>,
        },
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
        label={t("Binding edge")}
        value={bound}
        shown={bound === "none" ? t("unbound") : t("bound %{bound}", { bound })}
        choices={[
          { value: "none", title: t("unbound") },
          { value: "left", title: t("left") },
          { value: "top", title: t("top") },
          { value: "right", title: t("right") },
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
          {rich(t("plus a <1/> gutter<2/>"), {
            1: (
              <EntryValue
                label={t("Gutter, extra space on the bound edge")}
                shown={mm(page.binding.gutter_mm)}
                text={written(page.binding.gutter_mm)}
                unit="mm"
                read={(text) => readLength(text, "mm")}
                expected={t("Enter millimetres, such as 12.")}
                onSave={(gutter_mm) => keep("Gutter", { page: { binding: { gutter_mm } } })}
              />
            ),
            2: page.binding.edge !== "top" && (
              <>
                {rich(t(", printed on <1/>"), {
                  1: (
                    <ChoiceValue
                      label={t("Printed on")}
                      value={page.binding.mirrored ? "both" : "one"}
                      choices={[
                        { value: "one", title: t("one side") },
                        { value: "both", title: t("both sides"), note: t("even pages mirrored") },
                      ]}
                      onChoose={(sides) =>
                        keep("Sides", { page: { binding: { mirrored: sides === "both" ? true : null } as never } })
                      }
                    />
                  ),
                })}
              </>
            ),
          })}
        </>
      )}
    </>
  );
}
