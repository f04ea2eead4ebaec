import LockIcon from "@mui/icons-material/LockOutlined";
import HiddenIcon from "@mui/icons-material/VisibilityOffOutlined";
import { Box, Button, Checkbox, FormControlLabel, IconButton, Menu, MenuItem } from "@mui/material";
import { useEffect, useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { useBook, useChange } from "../api/book";
import { get } from "../api/client";
import type { Edge, Frame, Guides, Page } from "../api/types";
import { useShortcuts } from "../frame/useShortcuts";
import { Notice } from "../frame/Notice";
import { count, groundSize, mm, ratio, readNumber } from "../api/words";
import { Card, Heading } from "../frame/Card";
import { Field } from "../fields/Field";
import { useSheet } from "../frame/useSheet";
import { PageView } from "../page/PageView";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import { CardValue } from "../statement/CardValue";
import { DesignCard } from "./DesignCard";
import { ElementCard } from "./ElementCard";
import { around, shifted } from "./boxes";
import { useLayout } from "./layout";
import { LayoutCanvas } from "./LayoutCanvas";
import { readLength } from "./lengths";
import { titleOf, useElements, type Elements } from "./useElements";
import { elementTitles, traits, type ElementKind } from "./kinds";
import { elements as elementKinds, pageSizes } from "../generated/kinds";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";

// A shipped design is named by its file; a kept one by what it was called.
const designTitle = (name: string) =>
  /^[a-z-]+$/.test(name)
    ? name.replaceAll("-", " ").replace(/^./, (letter) => letter.toUpperCase())
    : name || "own design";

const EDGES: Edge[] = ["top", "right", "bottom", "left"];

// The page that every cell is printed on.
export function SheetStep() {
  const book = useBook();
  const { ask: askBook } = useChange();
  const { cell, go } = useSheet();
  const { role, layout, frame, guides, sheet, shift, keep, ask } = useLayout();
  const [search] = useSearchParams();
  const [wanted, setWanted] = useState<string[]>([]);
  const asked = search.get("selected");
  useEffect(() => {
    if (asked) setWanted([asked]);
  }, [asked]);
  const [designs, setDesigns] = useState(false);
  const [told, setTold] = useState<string | null>(null);
  const [ghost, setGhost] = useState<string | null>(null);
  const elements = useElements(wanted, setWanted);
  const selected = layout.elements.filter((element) => wanted.includes(element.id));
  const keys = useMemo(() => {
    const arrows = (mm: number) => ({
      ArrowLeft: () => elements.nudge(-mm, 0),
      ArrowRight: () => elements.nudge(mm, 0),
      ArrowUp: () => elements.nudge(0, -mm),
      ArrowDown: () => elements.nudge(0, mm),
    });
    const with_ = (prefix: string, mm: number) =>
      Object.fromEntries(Object.entries(arrows(mm)).map(([key, work]) => [prefix + key, work]));
    return {
      ...(wanted.length ? { ...arrows(1), ...with_("Shift+", 10), ...with_("Alt+", 0.1) } : {}),
      Delete: elements.remove,
      Backspace: elements.remove,
      Escape: () => setWanted([]),
      "Ctrl+d": elements.duplicate,
      "Ctrl+c": elements.copy,
      "Ctrl+v": elements.paste,
      "Ctrl+a": () => setWanted(layout.elements.filter((element) => !element.hidden).map((element) => element.id)),
    };
  }, [elements, wanted, layout.elements]);
  useShortcuts(keys);
  const fullest = async () => {
    const found = await get<{ number: number; overflowing: string[] }>(`/api/books/${book.id}/layout/fullest`);
    go(found.number);
    const titles = layout.elements.filter((element) => found.overflowing.includes(element.id)).map(titleOf);
    setTold(
      titles.length
        ? `The longest texts are on this sheet. ${titles.join(", ")}: more than the box holds; make it larger, or let the text shrink.`
        : null,
    );
  };
  const page = layout.page;
  const keepPage = (label: string, patch: Partial<Page>) => keep(label, { page: patch as never });
  const margins = EDGES.map((edge) => page.margins_mm[edge]);
  const even = margins.every((margin) => margin === margins[0]);
  const scale = book.document.index.scale;
  const bound = page.binding?.edge ?? "none";
  return (
    <>
      <Statement
        answer={
          role === "index" ? (
            <>
              The index frame is{" "}
              <b>
                {mm(frame.width_mm)} × {mm(frame.height_mm)}
              </b>{" "}
              and shows <b>{count(book.cells.length, "sheet")}</b> by name, at a round scale that holds them all. The
              index sheet comes before the others.
            </>
          ) : (
            <>
              The frame is{" "}
              <b>
                {mm(book.frame.width_mm)} × {mm(book.frame.height_mm)}
              </b>{" "}
              and shows{" "}
              {book.sheet_m && (
                <>
                  <b>{groundSize(...book.sheet_m)}</b> of ground{" "}
                </>
              )}
              at {ratio(scale)}; <b>{count(book.cells.length, "sheet")}</b> in all. The scale is held when the page
              changes.{" "}
              {cell && (
                <>
                  Seen here: <b>{cell.name}</b>.
                </>
              )}
            </>
          )
        }
      >
        Print{" "}
        <ChoiceValue
          label="Which page"
          value={role}
          choices={[
            { value: "sheets", title: "the sheets", note: "every cell of the index" },
            {
              value: "index",
              title: "the index sheet",
              note: book.document.index_layout ? "the whole index, by name" : "add one: the whole index, by name",
            },
          ]}
          onChoose={async (chosen) => {
            setWanted([]);
            setDesigns(false);
            if (chosen === "index" && !book.document.index_layout) await askBook("layout/index", { on: true });
            go(chosen === "index" ? 0 : 1);
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
          text={even ? String(margins[0]) : ""}
          unit="mm"
          read={readNumber}
          expected="Write millimetres, such as 10."
          onKeep={(width) =>
            keepPage("Margins", { margins_mm: { top: width, right: width, bottom: width, left: width } })
          }
        />
        ,{" "}
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
              text={String(page.binding.gutter_mm)}
              unit="mm"
              read={readNumber}
              expected="Write millimetres, such as 12."
              onKeep={(gutter_mm) => keep("Gutter", { page: { binding: { gutter_mm } } })}
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
        {role === "sheets" && (
          <>
            , from the design{" "}
            <CardValue
              label="Design"
              shown={designTitle(layout.name ?? "")}
              open={designs}
              onOpen={() => {
                setWanted([]);
                setDesigns(true);
              }}
            />
          </>
        )}
        .
      </Statement>
      {told && <Notice text={told} kind="warning" onClose={() => setTold(null)} />}
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        {sheet !== null ? (
          <PageView
            sheet={sheet}
            selected={around(selected.map((element) => shifted(frame.elements[element.id]!, shift, 0)))}
            guides={guides}
            onGuides={(guides) => keep("Guides", { guides })}
            overlay={(perMm, fault) => (
              <>
                {ghost && <Ghost svg={ghost} />}
                <LayoutCanvas
                  perMm={perMm}
                  fault={fault}
                  selected={wanted}
                  onPick={setWanted}
                  onPlace={elements.place}
                  onTurn={(id, angle) => elements.patch(id, { rotation_deg: angle === 0 ? undefined : angle }, "Turn")}
                />
              </>
            )}
          />
        ) : (
          <Box sx={{ flex: 1, display: "grid", placeItems: "center" }}>
            There is no sheet to show yet. On Weave, say which area to cover.
          </Box>
        )}
        {selected.length > 0 ? (
          <ElementCard
            key={selected.map((element) => element.id).join()}
            selected={selected}
            elements={elements}
            onBack={() => setWanted([])}
            onGhost={setGhost}
          />
        ) : designs && role === "sheets" ? (
          <DesignCard onBack={() => setDesigns(false)} />
        ) : (
          <PageCard
            keepPage={keepPage}
            elements={elements}
            onPick={setWanted}
            onFullest={() => void fullest().catch((error: Error) => setTold(error.message))}
          />
        )}
      </Box>
    </>
  );
}

// What is being tried, over the page; the server's own drawing, escaped where it is written.
function Ghost({ svg }: { svg: string }) {
  return (
    <Box
      aria-hidden
      data-ghost=""
      sx={{
        position: "absolute",
        inset: 0,
        pointerEvents: "none",
        "& svg": { display: "block", width: "100%", height: "100%" },
      }}
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}

interface PageCardProps {
  keepPage: (label: string, patch: Partial<Page>) => Promise<unknown>;
  elements: Elements;
  onPick: (ids: string[]) => void;
  onFullest: () => void;
}

// The page and its elements, the topmost first.
function PageCard({ keepPage, elements, onPick, onFullest }: PageCardProps) {
  const { ask } = useChange();
  const { go } = useSheet();
  const { role, layout, frame, guides, keep } = useLayout();
  const page = filled(layout.page, defaults.layout_page);
  return (
    <Card
      title={role === "index" ? "Index sheet" : "Page"}
      note={`${mm(frame.page_width_mm)} × ${mm(frame.page_height_mm)}`}
    >
      {layout.page.size === "custom" && (
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5, mb: 2 }}>
          {(["width_mm", "height_mm"] as const).map((side) => (
            <Field
              key={side}
              label={`${side === "width_mm" ? "Width" : "Height"}, portrait, mm`}
              value={String(layout.page[side] ?? "")}
              onKeep={async (text) => {
                const length = readLength(text, "mm");
                if (length === null) throw new Error("Write a length, such as 300, 12 in or 297/2.");
                await keepPage("Page size", { [side]: Math.round(length * 1000) / 1000 });
              }}
            />
          ))}
        </Box>
      )}
      <Box component="h3" sx={{ fontSize: 13, color: "text.secondary", m: 0, mb: 0.5 }}>
        Margins
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(4, minmax(0, 1fr))", gap: 1, mb: 2 }}>
        {EDGES.map((edge) => (
          <Field
            key={edge}
            label={`${edge[0]!.toUpperCase()}${edge.slice(1)}`}
            value={String(layout.page.margins_mm[edge])}
            onKeep={async (text) => {
              const width = readLength(text, "mm");
              if (width === null || width < 0) throw new Error("Write millimetres, such as 10.");
              await keepPage(`Margin, ${edge}`, { margins_mm: { [edge]: width } as Page["margins_mm"] });
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: "flex", alignItems: "flex-end", gap: 1, mb: 2 }}>
        <Field
          label="Bleed, mm"
          value={String(page.bleed_mm)}
          onKeep={async (text) => {
            const bleed_mm = readLength(text, "mm");
            if (bleed_mm === null || bleed_mm < 0 || bleed_mm > 50) throw new Error("0 to 50");
            await keepPage("Bleed", { bleed_mm });
          }}
        />
        <FormControlLabel
          sx={{ flexShrink: 0, m: 0 }}
          control={
            <Checkbox
              size="small"
              checked={page.trim_marks}
              onChange={(event) =>
                void keepPage("Trim marks", { trim_marks: event.target.checked }).catch(() => undefined)
              }
            />
          }
          label="trim marks"
        />
      </Box>
      <Box sx={{ display: "flex", alignItems: "baseline", justifyContent: "space-between" }}>
        <Box component="h3" sx={{ fontSize: 14, fontWeight: 700, m: 0 }}>
          Elements
        </Box>
        <NewElement elements={elements} />
      </Box>
      <Box component="ul" aria-label="Elements, the topmost first" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {[...layout.elements].reverse().map((element) => (
          <Box
            component="li"
            key={element.id}
            sx={{ display: "flex", alignItems: "center", borderBottom: 1, borderColor: "divider" }}
          >
            <Button
              onClick={() => onPick([element.id])}
              sx={{
                flex: 1,
                minWidth: 0,
                justifyContent: "flex-start",
                color: "text.primary",
                fontWeight: 400,
                px: 0.5,
                py: 0.25,
              }}
            >
              {titleOf(element)}
              <Box component="span" sx={{ color: "text.secondary", fontSize: 12.5, ml: 1 }}>
                {onPage(frame, element.id) ? elementTitles[element.kind].toLowerCase() : "off the page"}
              </Box>
            </Button>
            {element.locked && <LockIcon titleAccess="locked" sx={{ fontSize: 15, color: "text.secondary" }} />}
            {element.hidden && (
              <IconButton
                size="small"
                aria-label={`Show ${titleOf(element)}`}
                onClick={() => void elements.patch(element.id, { hidden: undefined }, "Show").catch(() => undefined)}
              >
                <HiddenIcon sx={{ fontSize: 16 }} />
              </IconButton>
            )}
          </Box>
        ))}
      </Box>
      {role === "sheets" && (
        <>
          <Button sx={{ mt: 1.5 }} variant="outlined" onClick={onFullest}>
            Show the fullest sheet
          </Button>
          <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.5 }}>
            the one with the longest texts, where a design breaks first
          </Box>
        </>
      )}
      {role === "index" && (
        <Button
          sx={{ mt: 1.5 }}
          color="error"
          onClick={() => {
            go(1);
            void ask("layout/index", { on: false }).catch(() => undefined);
          }}
        >
          Remove the index sheet
        </Button>
      )}
      <Guided guides={guides} onKeep={(guides) => keep("Guides", { guides })} />
      <BookTexts />
    </Card>
  );
}

// Places of the guides as numbers, for those who do not pull them out of the rulers.
function Guided({ guides, onKeep }: { guides: Guides; onKeep: (guides: Guides) => Promise<unknown> }) {
  return (
    <>
      <Heading text="Guides" />
      <Box sx={{ display: "grid", gap: 1 }}>
        {(["x", "y"] as const).map((axis) => (
          <Field
            key={axis}
            label={axis === "x" ? "Vertical, mm from the left" : "Horizontal, mm from the top"}
            value={(guides[axis] ?? []).join("; ")}
            placeholder="none"
            onKeep={async (text) => {
              const places = text
                .split(";")
                .filter((part) => part.trim() !== "")
                .map((part) => readLength(part, "mm"));
              if (places.some((place) => place === null))
                throw new Error("Write places with ; between them, such as 20; 45.5; 297/2.");
              await onKeep({ ...guides, [axis]: (places as number[]).sort((a, b) => a - b) });
            }}
          />
        ))}
      </Box>
    </>
  );
}

const TEXTS = [
  ["author", "Author"],
  ["edition", "Edition or revision"],
  ["date", "Date, as 2026-04-01"],
  ["source", "Source and credit"],
] as const;

// What the book's live texts say.
function BookTexts() {
  const book = useBook();
  const { change } = useChange();
  return (
    <>
      <Heading text="Texts of the book" />
      <Box sx={{ display: "grid", gap: 1 }}>
        {TEXTS.map(([name, title]) => (
          <Field
            key={name}
            label={title}
            value={book.document[name] ?? ""}
            multiline={name === "source"}
            onKeep={(text) => change(title, { [name]: text.trim() })}
          />
        ))}
      </Box>
    </>
  );
}

function onPage(frame: Frame, id: string): boolean {
  const [left, top, width, height] = frame.elements[id] as [number, number, number, number];
  return left < frame.page_width_mm && left + width > 0 && top < frame.page_height_mm && top + height > 0;
}

// A new element comes to the middle of the page and is selected.
function NewElement({ elements }: { elements: Elements }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { role, frame } = useLayout();
  const { page_width_mm: width, page_height_mm: height } = frame;
  const create = (kind: ElementKind) => {
    const [w, h] = traits[kind].sizeMm;
    setAnchor(null);
    void elements.create(kind, [(width - w) / 2, (height - h) / 2, w, h]).catch(() => undefined);
  };
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        New element
      </Button>
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{
          list: { dense: true, "aria-label": "Kinds of elements" },
          paper: { role: "dialog", "aria-label": "New element" },
        }}
      >
        {elementKinds
          .filter(([kind]) => traits[kind].roles.includes(role))
          .map(([kind, title]) => (
            <MenuItem key={kind} onClick={() => create(kind)}>
              {title}
            </MenuItem>
          ))}
      </Menu>
    </>
  );
}
