import { Box, Button, LinearProgress } from "@mui/material";
import { lazy, Suspense, useCallback, useMemo, useState, type DragEvent } from "react";
import { areaOf, partsOf } from "../api/area";
import { useBook, useChange } from "../api/book";
import { get } from "../api/client";
import { useAttributes } from "../api/useAttributes";
import { toldElsewhere } from "../api/toldElsewhere";
import { Notice } from "../frame/Notice";
import { GroundMap } from "../map/GroundMapLater";
import type { Draw } from "../map/useDraw";
import { AreaCard } from "./AreaCard";
import { ArrivalCard, type Ring } from "./ArrivalCard";
import type { Box4, Picked } from "./AttributeTable";
import { DropHere } from "./DropHere";
import { FilesSummary } from "./FilesSummary";
import { GroundStatement } from "./GroundStatement";
import { LayerDetails } from "./LayerDetails";
import { LayerList } from "./LayerList";
import { ReferenceCard } from "./ReferenceCard";
import { useArrivals } from "./arrivals";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

type CardShown = { kind: "layers" } | { kind: "layer"; id: string } | { kind: "reference" } | { kind: "area" };

// Half of the step's own code is the grid that it is drawn by.
const AttributeTable = lazy(() =>
  import("./AttributeTable").then(({ AttributeTable }) => ({ default: AttributeTable })),
);

const NOTHING: Picked = new Map();

/** The layers of the book, the reference that they are drawn in, and what of them the index covers. */
export function GroundStep() {
  const book = useBook();
  const { change } = useChange();
  const [over, setOver] = useState(false);
  const [card, setCard] = useState<CardShown>({ kind: "layers" });
  const [table, setTable] = useState(false);
  const [place, setPlace] = useState<Box4 | null>(null);
  const [selected, setPicked] = useState<Picked>(NOTHING);
  const [draw, setDraw] = useState<Draw | null>(null);
  const [rings, setRings] = useState<Ring[]>([]);
  const open = card.kind === "layer" ? book.document.layers.find((layer) => layer.id === card.id) : undefined;
  const attributes = useAttributes(open?.id);
  const arrivals = useArrivals();
  const arrival = arrivals.list.find((known) => ["inspecting", "ready", "importing"].includes(known.state));
  const box = useMemo(
    () =>
      book.layers.reduce<Box4 | null>(
        (all, layer) => (layer.box ? (all ? union(all, layer.box) : layer.box) : all),
        null,
      ),
    [book.layers],
  );
  const around = useMemo(
    () =>
      rings.reduce<Box4 | null>(
        (all, ring) =>
          ring.reduce<Box4 | null>((inner, [x, y]) => (inner ? union(inner, [x, y, x, y]) : [x, y, x, y]), all),
        rings.length ? box : null,
      ),
    [rings, box],
  );
  const show = (next: CardShown) => {
    setCard(next);
    setPlace(null);
    setPicked(NOTHING);
    setDraw(null);
  };
  const back = () => show({ kind: "layers" });
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    arrivals.take(event.dataTransfer.files);
  };
  const marks = useMemo(
    () => [...selected.values()].filter((known): known is Box4 => known !== null).concat(place ? [place] : []),
    [selected, place],
  );
  const pickable = open && !open.locked ? open.id : null;
  const pick = useCallback(
    (x: number, y: number, reach: number, add: boolean) => {
      if (!pickable) return;
      void get<{ id: number; box: Box4 } | null>(
        `/api/books/${book.id}/layers/${pickable}/at?x=${x}&y=${y}&reach=${reach}`,
      ).then(
        (found) => {
          setPlace(null);
          setTable(true);
          setPicked((before) => {
            const fresh: Picked = add ? new Map(before) : new Map();
            if (found && before.has(found.id) && add) fresh.delete(found.id);
            else if (found) fresh.set(found.id, found.box);
            return fresh;
          });
        },
        () => undefined,
      );
    },
    [book.id, pickable],
  );
  const drawn = useCallback(
    (corners: [number, number][]) => {
      setDraw(null);
      const polygon = corners.map(
        ([x, y]) => [Math.round(x * 100) / 100, Math.round(y * 100) / 100] as [number, number],
      );
      void change("Draw a study area", {
        index: { area: areaOf([...partsOf(book.document.index.area), { polygon }]) },
      }).catch(toldElsewhere);
    },
    [book.document.index.area, change],
  );
  return (
    <>
      <GroundStatement open={card.kind} onOpen={(kind) => show({ kind })} />
      {arrivals.problem && <Notice text={arrivals.problem} onClose={arrivals.clear} />}
      <FilesSummary arrivals={arrivals} />
      {arrivals.asked && (
        <Box
          role="alertdialog"
          aria-label={t("Several images")}
          sx={{ display: "flex", gap: 1, alignItems: "center", px: 2, py: 1 }}
        >
          <span>
            {rich(t("<1/> images were added at once. Are they tiles of one image?"), { 1: arrivals.asked.count })}
          </span>
          <Button variant="contained" onClick={() => arrivals.asked?.answer(true)}>
            {t("One layer")}
          </Button>
          <Button variant="outlined" onClick={() => arrivals.asked?.answer(false)}>
            {t("A layer each")}
          </Button>
        </Box>
      )}
      <Box
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
        sx={{ flex: 1, minHeight: 0, display: "flex", position: "relative" }}
      >
        <Box sx={{ flex: 1, minWidth: 0, display: "flex", flexDirection: "column" }}>
          <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
            <GroundMap
              label={t("The ground of the book")}
              box={place ?? around ?? box}
              marks={marks}
              rings={rings}
              draw={draw}
              onDrawn={drawn}
              onPick={pickable ? pick : undefined}
            />
          </Box>
          {open && table && (
            <Suspense fallback={<LinearProgress aria-label={t("Opening the table")} />}>
              <AttributeTable
                key={open.id}
                layer={open}
                attributes={attributes.data ?? []}
                selected={selected}
                onPicked={setPicked}
                onGo={setPlace}
                onClose={() => {
                  setTable(false);
                  setPlace(null);
                  setPicked(NOTHING);
                }}
              />
            </Suspense>
          )}
        </Box>
        {over && <DropHere />}
        {arrival ? (
          <ArrivalCard key={arrival.id} arrival={arrival} arrivals={arrivals} onRings={setRings} />
        ) : card.kind === "reference" ? (
          <ReferenceCard key={book.reference.definition} onBack={back} />
        ) : card.kind === "area" ? (
          <AreaCard drawing={draw} onDraw={setDraw} onRings={setRings} onBack={back} />
        ) : open ? (
          <LayerDetails key={open.id} layer={open} arrivals={arrivals} onBack={back} onTable={() => setTable(true)} />
        ) : (
          <LayerList arrivals={arrivals} onPick={(id) => show({ kind: "layer", id })} />
        )}
      </Box>
    </>
  );
}

const union = (a: Box4, b: Box4): Box4 => [
  Math.min(a[0], b[0]),
  Math.min(a[1], b[1]),
  Math.max(a[2], b[2]),
  Math.max(a[3], b[3]),
];
