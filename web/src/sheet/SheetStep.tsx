import { Box } from "@mui/material";
import { useEffect, useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { Notice } from "../frame/Notice";
import { useSheet } from "../frame/useSheet";
import { PageView } from "../page/PageView";
import { DesignCard } from "./DesignCard";
import { ElementCard } from "./ElementCard";
import { Ghost } from "./Ghost";
import { LayoutCanvas } from "./LayoutCanvas";
import { DrawnLineContext } from "./drawnLine";
import { LineOnPage } from "./LineOnPage";
import { LegendOnPage } from "./legend/LegendOnPage";
import { PickedRowContext } from "./legend/useLegend";
import { DetailOnPage } from "./frames/DetailOnPage";
import { DrawDetail } from "./frames/DrawDetail";
import { MapLabelMarks } from "../labels/hand/MapLabels";
import { MarkedLabels } from "../labels/hand/MarkedLabels";
import { NotesOnPage } from "../notes/NotesOnPage";
import { NotesScope } from "../notes/NotesScope";
import { DrawnDetailContext } from "./frames/drawnDetail";
import { GroundOnPage } from "./frames/GroundOnPage";
import { NewPageCard } from "./NewPageCard";
import { PageCard } from "./PageCard";
import { PageStatement } from "./PageStatement";
import { around, shifted } from "./boxes";
import { isGridded } from "./kinds";
import { useLayout } from "./layout";
import { useElementKeys } from "./useElementKeys";
import { titleOf, useElements } from "./useElements";

// The page that every cell is printed on.
export function SheetStep() {
  const book = useBook();
  const { go } = useSheet();
  const { role, layout, frame, guides, sheet, shift, keep } = useLayout();
  const [search] = useSearchParams();
  const [wanted, setWanted] = useState<string[]>([]);
  const asked = search.get("selected");
  useEffect(() => {
    if (asked) setWanted([asked]);
  }, [asked]);
  const [designs, setDesigns] = useState(false);
  const [newPage, setNewPage] = useState(false);
  const [told, setTold] = useState<string | null>(null);
  const [ghost, setGhost] = useState<string | null>(null);
  const elements = useElements(wanted, setWanted);
  const [picked, setPicked] = useState<{ row: string | null; beside: boolean }>({ row: null, beside: false });
  const one = wanted.length === 1 ? wanted[0] : undefined;
  useEffect(() => setPicked({ row: null, beside: false }), [one]);
  const pickedRow = useMemo(
    () => ({ ...picked, pick: (row: string | null, beside = false) => setPicked({ row, beside }) }),
    [picked],
  );
  const selected = layout.elements.filter((element) => wanted.includes(element.id));
  useElementKeys(elements, wanted, setWanted);
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
  const [drawing, setDrawing] = useState(false);
  useEffect(() => setDrawing(false), [one]);
  const [drawingDetail, setDrawingDetail] = useState(false);
  const drawnDetail = useMemo(() => ({ drawing: drawingDetail, setDrawing: setDrawingDetail }), [drawingDetail]);
  const main = layout.elements.find((element) => element.kind === "map_frame");
  const mainFrame = main && frame.elements[main.id];
  const drawnLine = useMemo(() => ({ drawing, setDrawing }), [drawing]);
  const lone = selected.length === 1 ? selected[0] : undefined;
  const line = lone?.kind === "line" && !lone.locked && !lone.hidden && !lone.rotation_deg ? lone : null;
  const detail = lone?.kind === "inset" && !lone.locked && !lone.hidden ? lone : null;
  const legend = lone?.kind === "legend" && !lone.locked && !lone.hidden ? lone : null;
  return (
    <MarkedLabels>
      <NotesScope>
        <PickedRowContext.Provider value={pickedRow}>
          <DrawnDetailContext.Provider value={drawnDetail}>
            <DrawnLineContext.Provider value={drawnLine}>
              <PageStatement
                designs={designs}
                onPage={() => {
                  setWanted([]);
                  setDesigns(false);
                  setNewPage(false);
                }}
                onNewPage={() => setNewPage(true)}
                onDesigns={() => {
                  setWanted([]);
                  setDesigns(true);
                }}
              />
              {told && <Notice text={told} kind="warning" onClose={() => setTold(null)} />}
              <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
                {sheet !== null ? (
                  <PageView
                    sheet={sheet}
                    selected={around(selected.map((element) => shifted(frame.elements[element.id]!, shift, 0)))}
                    guides={guides}
                    onGuides={(guides) => keep("Guides", { guides })}
                    overlay={(perMm, fault, size) => (
                      <>
                        {ghost && <Ghost svg={ghost} />}
                        <LayoutCanvas
                          perMm={perMm}
                          fault={fault}
                          selected={wanted}
                          onPick={setWanted}
                          onPlace={elements.place}
                          onTurn={(id, angle) =>
                            elements.patch(id, { rotation_deg: angle === 0 ? undefined : angle }, "Turn")
                          }
                        />
                        <MapLabelMarks perMm={perMm} size={size} />
                        <NotesOnPage perMm={perMm} size={size} />
                        <GroundOnPage
                          perMm={perMm}
                          selected={lone && isGridded(lone) && !lone.hidden ? lone : null}
                          onPick={(id) => setWanted([id])}
                          onKeep={(id, patch, label) => elements.patch(id, patch, label)}
                        />
                        {drawnDetail.drawing && mainFrame && (
                          <DrawDetail
                            frame={shifted(mainFrame, shift, 0)}
                            perMm={perMm}
                            onCancel={() => setDrawingDetail(false)}
                            onDrawn={(drawn) => {
                              setDrawingDetail(false);
                              const [left, top, width, height] = drawn.box;
                              void elements
                                .createDetail({ ...drawn, box: [left - shift, top, width, height] })
                                .catch(() => undefined);
                            }}
                          />
                        )}
                        {detail && (
                          <DetailOnPage
                            element={detail}
                            perMm={perMm}
                            onKeep={(extent, label) => elements.patch(detail.id, { extent }, label)}
                          />
                        )}
                        {line && (
                          <LineOnPage
                            element={line}
                            box={shifted(frame.elements[line.id]!, shift, 0)}
                            perMm={perMm}
                            onKeep={(label, box, points) =>
                              elements.place(label, { [line.id]: shifted(box, -shift, 0) }, { [line.id]: { points } })
                            }
                          />
                        )}
                        {legend && (
                          <LegendOnPage
                            element={legend}
                            perMm={perMm}
                            onKeep={(rows, label) => elements.patch(legend.id, { rows }, label)}
                          />
                        )}
                      </>
                    )}
                  />
                ) : (
                  <Box sx={{ flex: 1, display: "grid", placeItems: "center" }}>
                    There is no sheet to show yet. On Weave, say which area to cover.
                  </Box>
                )}
                {newPage ? (
                  <NewPageCard onDone={() => setNewPage(false)} />
                ) : selected.length > 0 ? (
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
                    elements={elements}
                    onPick={setWanted}
                    onFullest={() => void fullest().catch((error: Error) => setTold(error.message))}
                  />
                )}
              </Box>
            </DrawnLineContext.Provider>
          </DrawnDetailContext.Provider>
        </PickedRowContext.Provider>
      </NotesScope>
    </MarkedLabels>
  );
}
