import { Box } from "@mui/material";
import { useCallback, useEffect, useMemo, useReducer, useState } from "react";
import { useSearchParams } from "react-router";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { toldElsewhere } from "../api/toldElsewhere";
import { Notice } from "../frame/Notice";
import { useSheet } from "../frame/useSheet";
import { PageView } from "../page/PageView";
import { DesignCard } from "./DesignCard";
import { ElementCard } from "./ElementCard";
import { Ghost } from "./Ghost";
import { LayoutCanvas } from "./LayoutCanvas";
import { LineOnPage } from "./LineOnPage";
import { LegendOnPage } from "./legend/LegendOnPage";
import { DetailOnPage } from "./frames/DetailOnPage";
import { DrawDetail } from "./frames/DrawDetail";
import { MapLabelMarks } from "../labels/hand/MapLabels";
import { MarkedLabels } from "../labels/hand/MarkedLabels";
import { NotesOnPage } from "../notes/NotesOnPage";
import { NotesScope } from "../notes/NotesScope";
import { EMPTY, HandContext, moved, selectedIds } from "./hand";
import { GroundOnPage } from "./frames/GroundOnPage";
import { NewPageCard } from "./NewPageCard";
import { PageCard } from "./PageCard";
import { PageStatement } from "./PageStatement";
import { around, shifted } from "./boxes";
import { isGridded } from "./kinds";
import { useLayout } from "./layout";
import { useElementKeys } from "./useElementKeys";
import { titleOf, useElements } from "./useElements";
import { t } from "../texts/t";

/** The page that every cell is printed on. */
export function SheetStep() {
  const book = useBook();
  const { go } = useSheet();
  const { role, layout, frame, guides, sheet, shift, keep } = useLayout();
  const [search] = useSearchParams();
  const [hand, move] = useReducer(moved, EMPTY);
  const wanted = selectedIds(hand);
  const select = useCallback((ids: string[]) => move({ do: "select", ids }), []);
  const asked = search.get("selected");
  useEffect(() => {
    if (asked) select([asked]);
  }, [asked, select]);
  const [notice, setNotice] = useState<string | null>(null);
  const [ghost, setGhost] = useState<string | null>(null);
  const elements = useElements(wanted, select);
  const selected = layout.elements.filter((element) => wanted.includes(element.id));
  useElementKeys(elements, wanted, select);
  const fullest = async () => {
    const found = await get<{ number: number; overflowing: string[] }>(`/api/books/${book.id}/layout/fullest`);
    go(found.number);
    const titles = layout.elements.filter((element) => found.overflowing.includes(element.id)).map(titleOf);
    setNotice(
      titles.length
        ? t(
            "The longest texts are on this sheet. %{value}: too long for its box; make it larger, or let the text shrink.",
            { value: titles.join(", ") },
          )
        : null,
    );
  };
  const main = layout.elements.find((element) => element.kind === "map_frame");
  const mainFrame = main && frame.elements[main.id];
  const context = useMemo(() => ({ hand, move }), [hand]);
  const lone = selected.length === 1 ? selected[0] : undefined;
  const line = lone?.kind === "line" && !lone.locked && !lone.hidden && !lone.rotation_deg ? lone : null;
  const detail = lone?.kind === "inset" && !lone.locked && !lone.hidden ? lone : null;
  const legend = lone?.kind === "legend" && !lone.locked && !lone.hidden ? lone : null;
  return (
    <MarkedLabels>
      <NotesScope>
        <HandContext.Provider value={context}>
          <PageStatement
            designs={hand.at === "designs"}
            onPage={() => move({ do: "page" })}
            onNewPage={() => move({ do: "new page" })}
            onDesigns={() => move({ do: "designs" })}
          />
          {notice && <Notice text={notice} kind="warning" onClose={() => setNotice(null)} />}
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
                      onPick={select}
                      onPlace={elements.place}
                      onTurn={(id, angle) =>
                        elements.patch(id, { rotation_deg: angle === 0 ? undefined : angle }, "Rotate")
                      }
                    />
                    <MapLabelMarks perMm={perMm} size={size} />
                    <NotesOnPage perMm={perMm} size={size} />
                    <GroundOnPage
                      perMm={perMm}
                      selected={lone && isGridded(lone) && !lone.hidden ? lone : null}
                      onPick={(id) => select([id])}
                      onSave={(id, patch, label) => elements.patch(id, patch, label)}
                    />
                    {hand.detail && mainFrame && (
                      <DrawDetail
                        frame={shifted(mainFrame, shift, 0)}
                        perMm={perMm}
                        onCancel={() => move({ do: "detail", on: false })}
                        onDrawn={(drawn) => {
                          move({ do: "detail", on: false });
                          const [left, top, width, height] = drawn.box;
                          void elements
                            .createDetail({ ...drawn, box: [left - shift, top, width, height] })
                            .catch(toldElsewhere);
                        }}
                      />
                    )}
                    {detail && (
                      <DetailOnPage
                        element={detail}
                        perMm={perMm}
                        onSave={(extent, label) => elements.patch(detail.id, { extent }, label)}
                      />
                    )}
                    {line && (
                      <LineOnPage
                        element={line}
                        box={shifted(frame.elements[line.id]!, shift, 0)}
                        perMm={perMm}
                        onSave={(label, box, points) =>
                          elements.place(label, { [line.id]: shifted(box, -shift, 0) }, { [line.id]: { points } })
                        }
                      />
                    )}
                    {legend && (
                      <LegendOnPage
                        element={legend}
                        perMm={perMm}
                        onSave={(rows, label) => elements.patch(legend.id, { rows }, label)}
                      />
                    )}
                  </>
                )}
              />
            ) : (
              <Box sx={{ flex: 1, display: "grid", placeItems: "center" }}>
                {t("There is no sheet to show yet. In Weave, choose the area to cover.")}
              </Box>
            )}
            {hand.at === "new page" ? (
              <NewPageCard onDone={() => move({ do: "back" })} />
            ) : selected.length > 0 ? (
              <ElementCard
                key={selected.map((element) => element.id).join()}
                selected={selected}
                elements={elements}
                onBack={() => select([])}
                onGhost={setGhost}
              />
            ) : hand.at === "designs" && role === "sheets" ? (
              <DesignCard onBack={() => move({ do: "back" })} />
            ) : (
              <PageCard
                elements={elements}
                onPick={select}
                onFullest={() => void fullest().catch((error: Error) => setNotice(error.message))}
              />
            )}
          </Box>
        </HandContext.Provider>
      </NotesScope>
    </MarkedLabels>
  );
}
