import { Box } from "@mui/material";
import { useBook, useChange } from "../api/book";
import { get } from "../api/client";
import type { Edge, Element, Page } from "../api/types";
import { groundSize, mm, ratio, readNumber } from "../api/words";
import { Card } from "../frame/Card";
import { Field } from "../frame/Field";
import { useSheet } from "../frame/useSheet";
import { PageView } from "../page/PageView";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";

const EDGES: Edge[] = ["top", "right", "bottom", "left"];
const DESIGN_TITLES: Record<string, string> = { "side-panel": "Side panel", "foot-panel": "Foot panel" };
const DESIGN_NOTES: Record<string, string> = { "side-panel": "legend beside the map", "foot-panel": "title below, for upright pages" };

// The page that every cell is printed on.
export function SheetStep() {
  const book = useBook();
  const { change } = useChange();
  const { cell } = useSheet();
  const page = book.document.layout.page;
  const keepPage = (label: string, patch: Partial<Page>) => change(label, { layout: { page: patch as never } });
  const margins = EDGES.map((edge) => page.margins_mm[edge]);
  const even = margins.every((margin) => margin === margins[0]);
  const scale = book.document.index.scale;
  const takeDesign = async (name: string) => change(`Design ${DESIGN_TITLES[name] ?? name}`, { layout: { name, elements: await get<Element[]>(`/api/designs/${name}`) } });
  const bound = page.binding?.edge ?? "none";
  return (
    <>
      <Statement answer={<>The frame is <b>{mm(book.frame.width_mm)} × {mm(book.frame.height_mm)}</b> and shows <b>{groundSize(book.frame.width_mm * scale / 1000, book.frame.height_mm * scale / 1000)}</b> at {ratio(scale)}; the scale is held when the page changes. {cell && <>Seen here: <b>{cell.name}</b>.</>}</>}>
        Print on{" "}
        <ChoiceValue label="Page size" value={page.size} choices={[...book.sizes.map((size) => ({ value: size, title: size })), { value: "custom", title: "custom", note: "width and height of your own" }]} onChoose={(size) => keepPage("Page size", size === "custom" ? { size, width_mm: book.frame.page_width_mm, height_mm: book.frame.page_height_mm } : { size })} />
        {" "}
        <ChoiceValue label="Orientation" value={page.orientation ?? "portrait"} choices={[{ value: "landscape", title: "landscape" }, { value: "portrait", title: "portrait" }]} onChoose={(orientation) => keepPage("Orientation", { orientation: orientation as Page["orientation"] })} />
        {" "}with margins of{" "}
        <EntryValue label="Margins, all four" shown={even ? mm(margins[0]!) : "different widths"} text={even ? String(margins[0]) : ""} unit="mm" read={readNumber} expected="Write millimetres, such as 10." onKeep={(width) => keepPage("Margins", { margins_mm: { top: width, right: width, bottom: width, left: width } })} />
        , bound on the{" "}
        <ChoiceValue label="Binding edge" value={bound} shown={bound === "none" ? "no side" : bound} choices={[{ value: "none", title: "no side" }, { value: "left", title: "left" }, { value: "top", title: "top" }, { value: "right", title: "right" }]}
          onChoose={(edge) => change("Binding edge", { layout: { page: { binding: edge === "none" ? null : { edge: edge as "left", gutter_mm: page.binding?.gutter_mm ?? 12 } } } })} />
        {page.binding && <>
          {" "}with{" "}
          <EntryValue label="Gutter, the extra room on the bound edge" shown={mm(page.binding.gutter_mm)} text={String(page.binding.gutter_mm)} unit="mm" read={readNumber} expected="Write millimetres, such as 12." onKeep={(gutter_mm) => change("Gutter", { layout: { page: { binding: { gutter_mm } } } })} />
          {" "}more</>}
        , from the design{" "}
        <ChoiceValue label="Design" value={book.document.layout.name} shown={DESIGN_TITLES[book.document.layout.name] ?? book.document.layout.name} choices={book.designs.map((name) => ({ value: name, title: DESIGN_TITLES[name] ?? name, note: DESIGN_NOTES[name] }))} onChoose={takeDesign} />
        .
      </Statement>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        {cell ? <PageView sheet={cell.number} /> : <Box sx={{ flex: 1, display: "grid", placeItems: "center" }}>There is no sheet to show yet. On Weave, say which area to cover.</Box>}
        <PageCard keepPage={keepPage} />
      </Box>
    </>
  );
}

function PageCard({ keepPage }: { keepPage: (label: string, patch: Partial<Page>) => Promise<unknown> }) {
  const book = useBook();
  const { change } = useChange();
  const layout = book.document.layout;
  const texts = layout.elements.filter((element) => element.kind === "text");
  return (
    <Card title="Page" note={`${mm(book.frame.page_width_mm)} × ${mm(book.frame.page_height_mm)}`}>
      {layout.page.size === "custom" && (
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5, mb: 2 }}>
          {(["width_mm", "height_mm"] as const).map((side) => (
            <Field key={side} label={side === "width_mm" ? "Width, upright" : "Height, upright"} unit="mm" value={String(layout.page[side] ?? "")} onKeep={async (text) => {
              const length = readNumber(text);
              if (length === null) throw new Error("Write millimetres, such as 300.");
              await keepPage("Page size", { [side]: length });
            }} />
          ))}
        </Box>
      )}
      <Box component="h3" sx={{ fontSize: 13, color: "text.secondary", m: 0, mb: 0.5 }}>Margins</Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5, mb: 2 }}>
        {EDGES.map((edge) => (
          <Field key={edge} label={`${edge[0]!.toUpperCase()}${edge.slice(1)}`} unit="mm" value={String(layout.page.margins_mm[edge])} onKeep={async (text) => {
            const width = readNumber(text);
            if (width === null) throw new Error("Write millimetres, such as 10.");
            await keepPage(`Margin, ${edge}`, { margins_mm: { [edge]: width } as Page["margins_mm"] });
          }} />
        ))}
      </Box>
      <Box component="h3" sx={{ fontSize: 13, color: "text.secondary", m: 0, mb: 0.5 }}>Texts of the sheet</Box>
      {texts.map((element) => <Field key={element.id} label={titleOf(element)} value={element.text ?? ""} multiline onKeep={(text) => change(`Text of ${titleOf(element)}`, { layout: { elements: layout.elements.map((known) => (known.id === element.id ? { ...known, text } : known)) } })} />)}
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 1.5 }}>
        Values in double braces are filled in on each sheet: {"{{ sheet.name }}"}, {"{{ sheet.number }}"}, {"{{ sheet.count }}"}, {"{{ sheet.ratio }}"}, {"{{ sheet.centre }}"}, {"{{ book.title }}"}, {"{{ reference.name }}"}…
      </Box>
    </Card>
  );
}

const titleOf = (element: Element) => element.id.replaceAll("-", " ").replace(/^./, (letter) => letter.toUpperCase());
