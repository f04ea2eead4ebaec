import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, Checkbox, FormControlLabel, MenuItem, TextField, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import type { Drawing, Element, ElementOf, Rectangle } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Card, Heading } from "../frame/Card";
import { Field } from "../fields/Field";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { Measured } from "../fields/Measured";
import { BorderFields } from "../grids/BorderFields";
import { GridCard } from "../grids/GridCard";
import { GridList } from "../grids/GridList";
import { useGrids } from "../grids/useGrids";
import { LeftOutOfSheet } from "../page/TrueScale";
import { useLayout } from "./layout";
import { ImportArtwork } from "./ImportArtwork";
import { aligned, distributed, shifted, type Boxes, type Side } from "./boxes";
import { LegendFields } from "./legend/LegendFields";
import { NorthArrowFields } from "./NorthArrowFields";
import { PositionFields } from "./PositionFields";
import { ScaleBarFields } from "./ScaleBarFields";
import { LineFields } from "./LineFields";
import { PanelFields } from "./PanelFields";
import { TableFields } from "./TableFields";
import { TextFields, TypeFields } from "./TextFields";
import { titleOf, type Elements } from "./useElements";
import { elementTitles, isFrame, isGridded, rotates, whole } from "./kinds";
import { FrameFields } from "./frames/FrameFields";
import { SheetGround } from "./frames/SheetGround";
import { ShownOnFields } from "./ShownOnFields";
import { Fold } from "../frame/Fold";

const SIDES: { side: Side; title: string }[] = [
  { side: "left", title: "Left" },
  { side: "centre", title: "Centre" },
  { side: "right", title: "Right" },
  { side: "top", title: "Top" },
  { side: "middle", title: "Middle" },
  { side: "bottom", title: "Bottom" },
];

// What is selected on the page: one element with its settings, or several together.
export function ElementCard({
  selected,
  elements,
  onBack,
  onGhost,
}: {
  selected: Element[];
  elements: Elements;
  onBack: () => void;
  onGhost: (svg: string | null) => void;
}) {
  const { frame, sheet } = useLayout();
  const [open, setOpen] = useState<string | null>(null);
  const one = selected.length === 1 ? selected[0]! : null;
  const boxes: Boxes = Object.fromEntries(
    selected.filter((element) => !element.locked).map((element) => [element.id, frame.elements[element.id]!]),
  );
  const place = (label: string, wanted: Boxes) => void elements.place(label, wanted).catch(toldElsewhere);
  const locked = selected.every((element) => element.locked);
  const gridded = one && isGridded(one) ? one : null;
  const grids = useGrids(gridded ? sheet : null, gridded?.id);
  const grid = gridded?.grids?.find((known) => known.id === open);
  if (gridded && grid && sheet !== null && !locked)
    return (
      <GridCard
        key={grid.id}
        frame={gridded}
        grid={grid}
        words={grids.data?.grids.find((known) => known.id === grid.id)}
        sheet={sheet}
        onGhost={onGhost}
        onBack={() => setOpen(null)}
        onSave={(label, list) => elements.patch(gridded.id, { grids: list }, label)}
      />
    );
  return (
    <Card
      title={one ? titleOf(one) : `${selected.length} elements`}
      note={one && titleOf(one) !== elementTitles[one.kind] ? elementTitles[one.kind].toLowerCase() : undefined}
    >
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        The page
      </Button>
      {locked ? (
        <Typography sx={{ fontSize: 14, mb: 1 }}>Locked: it does not move and does not change.</Typography>
      ) : (
        <>
          {gridded && !isFrame(gridded) && (
            <FrameFields
              element={gridded}
              onSave={(patch, label = titleOf(gridded)) => elements.patch(gridded.id, patch, label)}
            />
          )}
          {gridded && (
            <GridList
              frame={gridded}
              grids={grids.data}
              sheet={sheet}
              onOpen={setOpen}
              onWiden={(fresh) =>
                elements.patch(
                  gridded.id,
                  { grids: (gridded.grids ?? []).map((known) => (known.id === fresh.id ? fresh : known)) },
                  "Interval for this scale",
                )
              }
            />
          )}
          {gridded && (
            <>
              <Heading text="Border" />
              <BorderFields frame={gridded} onSave={(border) => elements.patch(gridded.id, { border }, "Border")} />
              {isFrame(gridded) && (
                <FrameFields
                  element={gridded}
                  onSave={(patch, label = titleOf(gridded)) => elements.patch(gridded.id, patch, label)}
                />
              )}
              {gridded.kind === "map_frame" && <SheetGround />}
              <Heading text="Frame" />
            </>
          )}
          {one && <Settings element={one} elements={elements} />}
          {sheet !== null && (gridded || one?.kind === "legend" || one?.kind === "table") && (
            <LeftOutOfSheet sheet={sheet} />
          )}
          <Heading text="Align" />
          <Box sx={{ display: "grid", gridTemplateColumns: "repeat(3, 1fr)", gap: 0.5 }}>
            {SIDES.map(({ side, title }) => (
              <Button
                key={side}
                variant="outlined"
                aria-label={`Align: ${title}`}
                onClick={() => place(`Align ${side}`, aligned(boxes, side, frame.live))}
              >
                {title}
              </Button>
            ))}
          </Box>
          {selected.length > 2 && (
            <Box sx={{ display: "flex", gap: 0.5, mt: 0.5 }}>
              <Button variant="outlined" onClick={() => place("Even gaps across", distributed(boxes, 0))}>
                Even gaps across
              </Button>
              <Button variant="outlined" onClick={() => place("Even gaps down", distributed(boxes, 1))}>
                down
              </Button>
            </Box>
          )}
          <Heading text="Order" />
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
            {(
              [
                ["front", "To the front"],
                ["forward", "Forward"],
                ["backward", "Backward"],
                ["back", "To the back"],
              ] as const
            ).map(([by, title]) => (
              <Button key={by} variant="outlined" onClick={() => void elements.order(by).catch(toldElsewhere)}>
                {title}
              </Button>
            ))}
          </Box>
        </>
      )}
      <Heading text="Element" />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
        <Button
          onClick={() =>
            void elements.all(locked ? "Unlock" : "Lock", { locked: locked ? undefined : true }).catch(toldElsewhere)
          }
        >
          {locked ? "Unlock" : "Lock"}
        </Button>
        {!locked && (
          <Button
            onClick={() => {
              onBack();
              void elements.all("Hide", { hidden: true }).catch(toldElsewhere);
            }}
          >
            Hide
          </Button>
        )}
        {selected.some((element) => !isFrame(element)) && <Button onClick={elements.duplicate}>Duplicate</Button>}
        {selected.length > 1 && !selected.every((element) => element.group && element.group === selected[0]!.group) && (
          <Button onClick={() => void elements.group().catch(toldElsewhere)}>Group</Button>
        )}
        {selected.some((element) => element.group) && (
          <Button onClick={() => void elements.ungroup().catch(toldElsewhere)}>Ungroup</Button>
        )}
        {!locked && selected.some((element) => !isFrame(element)) && (
          <Button color="error" onClick={elements.remove}>
            Remove
          </Button>
        )}
      </Box>
    </Card>
  );
}

function Settings({ element, elements }: { element: Element; elements: Elements }) {
  const { frame, shift, role } = useLayout();
  const keep = (patch: Partial<Element>) => elements.patch(element.id, patch, `${titleOf(element)}`);
  const box = shifted(frame.elements[element.id]!, shift, 0);
  const place = (
    <>
      <Heading text="Place" />
      <PositionFields
        box={box}
        onSave={(wanted: Rectangle) => elements.place("Place", { [element.id]: shifted(wanted, -shift, 0) })}
      />
    </>
  );
  return (
    <>
      <Field
        label="Name"
        value={titleOf(element)}
        onSave={(title) => keep({ title: title.trim() === "" ? undefined : title.trim() })}
      />
      {element.kind !== "legend" && place}
      {rotates(element) && (
        <Box sx={{ mt: 1, width: 110 }}>
          <Measured
            label="Rotation, ° clockwise"
            value={whole(element).rotation_deg}
            least={-360}
            most={360}
            onSave={(rotation_deg) => keep({ rotation_deg: rotation_deg === 0 ? undefined : rotation_deg })}
          />
        </Box>
      )}
      {element.kind === "text" && (
        <>
          <Heading text="Text" />
          <TextFields element={element} onSave={keep} />
        </>
      )}
      {element.kind === "map_frame" && (
        <FormControlLabel
          sx={{ mt: 1 }}
          control={
            <Checkbox
              size="small"
              checked={!!element.match_lines}
              onChange={(event) =>
                void keep({ match_lines: event.target.checked ? {} : undefined }).catch(toldElsewhere)
              }
            />
          }
          label="match lines with the neighbours’ names"
        />
      )}
      {(element.kind === "adjoining" || element.kind === "north_diagram") && (
        <>
          <Heading text="Look" />
          <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
            <Colour label="Colour of the diagram" value={whole(element).colour} onSave={(colour) => keep({ colour })} />
            <Measured
              label="Size, pt"
              value={whole(element).size_pt}
              least={1}
              most={100}
              onSave={(size_pt) => keep({ size_pt })}
            />
          </Box>
        </>
      )}
      {element.kind === "line" && (
        <>
          <Heading text="Line" />
          <LineFields element={element} onSave={keep} />
        </>
      )}
      {element.kind === "table" && <TableFields element={element} onSave={keep} />}
      {element.kind === "picture" && (
        <>
          <Heading text="Picture" />
          <PictureFields element={element} onSave={keep} />
        </>
      )}
      {element.kind === "grid_note" && (
        <>
          <Heading text="Note" />
          <NoteFields element={element} onSave={keep} />
        </>
      )}
      {element.kind === "north_arrow" && <NorthArrowFields element={element} onSave={keep} />}
      {element.kind === "legend" && (
        <LegendFields
          element={element}
          onSave={(patch, label = titleOf(element)) => elements.patch(element.id, patch, label)}
        />
      )}
      {element.kind === "legend" && place}
      {element.kind === "scale_bar" && <ScaleBarFields element={element} onSave={keep} />}
      {(element.kind === "text" ||
        element.kind === "box" ||
        element.kind === "ellipse" ||
        element.kind === "line" ||
        element.kind === "neatline") && (
        <>
          <Heading text={element.kind === "text" ? "Panel" : "Look"} />
          <PanelFields element={element} onSave={keep} />
        </>
      )}
      {role === "sheets" && element.kind !== "map_frame" && (
        <Fold title={element.shown_on ? "On some sheets" : "On all sheets"}>
          <ShownOnFields
            about={titleOf(element)}
            given={element.shown_on}
            onSave={(shown_on) => elements.patch(element.id, { shown_on }, `Sheets of ${titleOf(element)}`)}
          />
        </Fold>
      )}
    </>
  );
}

type Note = ElementOf<"grid_note">;
type Picture = ElementOf<"picture">;

// Of which grid it tells the spacing, and its type.
function NoteFields({ element, onSave }: { element: Note; onSave: (patch: Partial<Note>) => Promise<unknown> }) {
  const { layout } = useLayout();
  const grids = layout.elements.find(isFrame)?.grids ?? [];
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Choice
        label="Tells the spacing of"
        value={element.grid ?? grids[0]?.id ?? ""}
        choices={grids.map((grid) => [grid.id, grid.title ?? grid.id] as const)}
        onChoose={(grid) => onSave({ grid })}
      />
      <TypeFields element={element} onSave={onSave} />
    </Box>
  );
}

function PictureFields({
  element,
  onSave,
}: {
  element: Picture;
  onSave: (patch: Partial<Picture>) => Promise<unknown>;
}) {
  const shown = whole(element);
  const book = useBook();
  const shipped = useQuery({
    queryKey: ["markers"],
    queryFn: ({ signal }) => get<Drawing[]>("/api/markers", signal),
    staleTime: Infinity,
  });
  const drawings = [...(book.document.markers ?? []), ...(shipped.data ?? [])];
  const pictures = book.document.pictures ?? [];
  // A picture of pixels and a drawing take the place of one another.
  const choose = (kind: string, id: string) =>
    onSave(
      kind === "picture"
        ? { picture: id, drawing: undefined, colour: undefined }
        : { drawing: id, picture: undefined, fit: undefined },
    );
  const value = element.picture ? `picture ${element.picture}` : `drawing ${element.drawing}`;
  const known = [
    ...pictures.map((entry) => ({ kind: "picture", ...entry })),
    ...drawings.map((entry) => ({ kind: "drawing", ...entry })),
  ];
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
        {!element.picture && (
          <Colour label="Colour of the drawing" value={shown.colour} onSave={(colour) => onSave({ colour })} />
        )}
        <TextField
          select
          fullWidth
          label="Shows"
          value={known.some((entry) => `${entry.kind} ${entry.id}` === value) ? value : ""}
          onChange={(event) => void choose(...(event.target.value.split(" ") as [string, string])).catch(toldElsewhere)}
        >
          {known.map((entry) => (
            <MenuItem key={`${entry.kind} ${entry.id}`} value={`${entry.kind} ${entry.id}`}>
              {entry.title}
              <Box component="span" sx={{ color: "text.secondary", fontSize: 12.5, ml: 1 }}>
                {entry.kind}
              </Box>
            </MenuItem>
          ))}
        </TextField>
      </Box>
      {element.picture && (
        <TextField
          select
          label="In its box"
          value={shown.fit}
          onChange={(event) => void onSave({ fit: event.target.value as Picture["fit"] }).catch(toldElsewhere)}
        >
          <MenuItem value="inside">whole, in its proportion</MenuItem>
          <MenuItem value="fill">fills the box, cut by it</MenuItem>
        </TextField>
      )}
      <Field
        label="Alternative text, for tagged PDF"
        value={element.alternative ?? ""}
        onSave={(text) => onSave({ alternative: text.trim() || undefined })}
      />
      <ImportArtwork title="Import a picture" label="Picture of your own" onBrought={choose} />
    </Box>
  );
}
