import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import type { Element, Rectangle } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import type { Place } from "../guide/places";
import { Card, Heading } from "../frame/Card";
import { Field } from "../fields/Field";
import { Measured } from "../fields/Measured";
import { BorderFields } from "../grids/BorderFields";
import { GridCard } from "../grids/GridCard";
import { GridList } from "../grids/GridList";
import { useGrids } from "../grids/useGrids";
import { LeftOutOfSheet } from "../page/TrueScale";
import { cardOf } from "./cards";
import { useLayout } from "./layout";
import { aligned, distributed, shifted, type Boxes, type Side } from "./boxes";
import { PositionFields } from "./PositionFields";
import { titleOf, type Elements } from "./useElements";
import { elementTitles, isFrame, isGridded, rotates, whole } from "./kinds";
import { FrameFields } from "./frames/FrameFields";
import { SheetGround } from "./frames/SheetGround";
import { ShownOnFields } from "./ShownOnFields";
import { Fold } from "../frame/Fold";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

const SIDES: { side: Side; title: string }[] = [
  { side: "left", title: t("Left") },
  { side: "centre", title: t("Centre") },
  { side: "right", title: t("Right") },
  { side: "top", title: t("Top") },
  { side: "middle", title: t("Middle") },
  { side: "bottom", title: t("Bottom") },
];

// Kinds of elements that the guide has a section of.
const EXPLAINED: Partial<Record<Element["kind"], Place>> = {
  map_frame: "frame",
  inset: "frame",
  locator: "frame",
  index_frame: "frame",
  text: "text",
  legend: "legend",
  scale_bar: "scaleBar",
  north_arrow: "north",
  north_diagram: "north",
};

/** What is selected on the page: one element with its settings, or several together. */
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
      help={(one && EXPLAINED[one.kind]) ?? "element"}
      title={one ? titleOf(one) : t("%{length} elements", { length: selected.length })}
      note={one && titleOf(one) !== elementTitles[one.kind] ? elementTitles[one.kind].toLowerCase() : undefined}
    >
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        {t("The page")}
      </Button>
      {locked ? (
        <Typography sx={{ fontSize: 14, mb: 1 }}>{t("Locked. Unlock it to move or edit it.")}</Typography>
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
              <Heading text={t("Border")} />
              <BorderFields frame={gridded} onSave={(border) => elements.patch(gridded.id, { border }, "Border")} />
              {isFrame(gridded) && (
                <FrameFields
                  element={gridded}
                  onSave={(patch, label = titleOf(gridded)) => elements.patch(gridded.id, patch, label)}
                />
              )}
              {gridded.kind === "map_frame" && <SheetGround />}
              <Heading text={t("Frame")} />
            </>
          )}
          {one && <Settings element={one} elements={elements} />}
          {sheet !== null && one && cardOf(one).leavesOut && <LeftOutOfSheet sheet={sheet} />}
          <Heading text={t("Align")} />
          <Box sx={{ display: "grid", gridTemplateColumns: "repeat(3, 1fr)", gap: 0.5 }}>
            {SIDES.map(({ side, title }) => (
              <Button
                key={side}
                variant="outlined"
                aria-label={t("Align: %{title}", { title })}
                onClick={() => place(`Align ${side}`, aligned(boxes, side, frame.live))}
              >
                {title}
              </Button>
            ))}
          </Box>
          {selected.length > 2 && (
            <Box sx={{ display: "flex", gap: 0.5, mt: 0.5 }}>
              <Button variant="outlined" onClick={() => place("Distribute horizontally", distributed(boxes, 0))}>
                {t("Distribute horizontally")}
              </Button>
              <Button variant="outlined" onClick={() => place("Distribute vertically", distributed(boxes, 1))}>
                {t("down")}
              </Button>
            </Box>
          )}
          <Heading text={t("Order")} />
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
            {(
              [
                ["front", t("To the front")],
                ["forward", t("Forward")],
                ["backward", t("Backward")],
                ["back", t("To the back")],
              ] as const
            ).map(([by, title]) => (
              <Button key={by} variant="outlined" onClick={() => void elements.order(by).catch(toldElsewhere)}>
                {title}
              </Button>
            ))}
          </Box>
        </>
      )}
      <Heading text={t("Element")} />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
        <Button
          onClick={() =>
            void elements.all(locked ? "Unlock" : "Lock", { locked: locked ? undefined : true }).catch(toldElsewhere)
          }
        >
          {locked ? t("Unlock") : t("Lock")}
        </Button>
        {!locked && (
          <Button
            onClick={() => {
              onBack();
              void elements.all("Hide", { hidden: true }).catch(toldElsewhere);
            }}
          >
            {t("Hide")}
          </Button>
        )}
        {selected.some((element) => !isFrame(element)) && (
          <Button onClick={elements.duplicate}>{t("Duplicate")}</Button>
        )}
        {selected.length > 1 && !selected.every((element) => element.group && element.group === selected[0]!.group) && (
          <Button onClick={() => void elements.group().catch(toldElsewhere)}>{t("Group")}</Button>
        )}
        {selected.some((element) => element.group) && (
          <Button onClick={() => void elements.ungroup().catch(toldElsewhere)}>{t("Ungroup")}</Button>
        )}
        {!locked && selected.some((element) => !isFrame(element)) && (
          <Button color="error" onClick={elements.remove}>
            {t("Remove")}
          </Button>
        )}
      </Box>
    </Card>
  );
}

function Settings({ element, elements }: { element: Element; elements: Elements }) {
  const { frame, shift, role } = useLayout();
  const { Fields, placeBelow } = cardOf(element);
  const keep = (patch: Partial<Element>, label = titleOf(element)) => elements.patch(element.id, patch, label);
  const box = shifted(frame.elements[element.id]!, shift, 0);
  const place = (
    <>
      <Heading text={t("Place")} />
      <PositionFields
        box={box}
        onSave={(wanted: Rectangle) => elements.place("Place", { [element.id]: shifted(wanted, -shift, 0) })}
      />
    </>
  );
  return (
    <>
      <Field
        label={t("Name")}
        value={titleOf(element)}
        onSave={(title) => keep({ title: title.trim() === "" ? undefined : title.trim() })}
      />
      {!placeBelow && place}
      {rotates(element) && (
        <Box sx={{ mt: 1, width: 110 }}>
          <Measured
            label={t("Rotation, ° clockwise")}
            value={whole(element).rotation_deg}
            limits={limits.box_element.rotation_deg}
            onSave={(rotation_deg) => keep({ rotation_deg: rotation_deg === 0 ? undefined : rotation_deg })}
          />
        </Box>
      )}
      {Fields && <Fields element={element} onSave={keep} />}
      {placeBelow && place}
      {role === "sheets" && element.kind !== "map_frame" && (
        <Fold title={element.shown_on ? t("On some sheets") : t("On all sheets")}>
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
