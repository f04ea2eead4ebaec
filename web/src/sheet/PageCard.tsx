import { Box, Button, Checkbox, FormControlLabel } from "@mui/material";
import { useChange } from "../api/book";
import type { Edge, Page } from "../api/types";
import { paperSize } from "../api/words";
import { toldElsewhere } from "../api/toldElsewhere";
import { Field } from "../fields/Field";
import { filled } from "../fields/filled";
import { Card } from "../frame/Card";
import { useSheet } from "../frame/useSheet";
import { defaults } from "../generated/defaults";
import { BookTexts } from "./BookTexts";
import { ElementList } from "./ElementList";
import { FreePageFields } from "./FreePageFields";
import { GuideFields } from "./GuideFields";
import { IndexPagesFields } from "./IndexPagesFields";
import { LegendCheck } from "./legend/LegendCheck";
import { NewElement } from "./NewElement";
import { useLayout } from "./layout";
import { readLength } from "../numbers/lengths";
import { written } from "../numbers/written";
import type { Elements } from "./useElements";
import { t } from "../texts/t";

const EDGES: Edge[] = ["top", "right", "bottom", "left"];

interface PageCardProps {
  elements: Elements;
  onPick: (ids: string[]) => void;
  onFullest: () => void;
}

/** The page and its elements, the topmost first. */
export function PageCard({ elements, onPick, onFullest }: PageCardProps) {
  const { ask } = useChange();
  const { go } = useSheet();
  const { role, page: free, layout, frame, guides, keep, keepPage } = useLayout();
  const page = filled(layout.page, defaults.layout_page);
  return (
    <Card
      help="page"
      title={free ? free.title : role === "index" ? t("Index sheet") : t("Page")}
      note={paperSize(frame.page_width_mm, frame.page_height_mm)}
    >
      {free && <FreePageFields page={free} />}
      {role === "index" && <IndexPagesFields />}
      {layout.page.size === "custom" && (
        <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1.5, mb: 2 }}>
          {(["width_mm", "height_mm"] as const).map((side) => (
            <Field
              key={side}
              label={t("%{value}, portrait, mm", { value: side === "width_mm" ? "Width" : "Height" })}
              value={layout.page[side] === undefined ? "" : written(layout.page[side])}
              onSave={async (text) => {
                const length = readLength(text, "mm");
                if (length === null) throw new Error(t("Enter a length, such as 300, 12 in or 297/2."));
                await keepPage("Page size", { [side]: Math.round(length * 1000) / 1000 });
              }}
            />
          ))}
        </Box>
      )}
      <Box component="h3" sx={{ fontSize: 13, color: "text.secondary", m: 0, mb: 0.5 }}>
        {t("Margins")}
      </Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(4, minmax(0, 1fr))", gap: 1, mb: 2 }}>
        {EDGES.map((edge) => (
          <Field
            key={edge}
            label={`${edge[0]!.toUpperCase()}${edge.slice(1)}`}
            value={written(layout.page.margins_mm[edge])}
            onSave={async (text) => {
              const width = readLength(text, "mm");
              if (width === null || width < 0) throw new Error(t("Enter millimetres, such as 10."));
              await keepPage(`Margin, ${edge}`, { margins_mm: { [edge]: width } as Page["margins_mm"] });
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: "flex", alignItems: "flex-end", gap: 1, mb: 2 }}>
        <Field
          label={t("Bleed, mm")}
          value={written(page.bleed_mm)}
          onSave={async (text) => {
            const bleed_mm = readLength(text, "mm");
            if (bleed_mm === null || bleed_mm < 0 || bleed_mm > 50) throw new Error(t("0 to 50"));
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
                void keepPage("Trim marks", { trim_marks: event.target.checked }).catch(toldElsewhere)
              }
            />
          }
          label={t("Trim marks")}
        />
      </Box>
      <Box sx={{ display: "flex", alignItems: "baseline", justifyContent: "space-between" }}>
        <Box component="h3" sx={{ fontSize: 14, fontWeight: 700, m: 0 }}>
          {t("Elements")}
        </Box>
        <NewElement elements={elements} />
      </Box>
      <ElementList elements={elements} onPick={onPick} />
      {role === "sheets" && (
        <>
          <Button sx={{ mt: 1.5 }} variant="outlined" onClick={onFullest}>
            {t("Show the fullest sheet")}
          </Button>
          <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.5 }}>
            {t("the one with the longest texts, where a design breaks first")}
          </Box>
          {layout.elements.some((element) => element.kind === "legend" && !element.hidden) && <LegendCheck />}
        </>
      )}
      {role === "index" && (
        <Button
          sx={{ mt: 1.5 }}
          color="error"
          onClick={() => {
            go(1);
            void ask("layout/index", { on: false }).catch(toldElsewhere);
          }}
        >
          {t("Remove the index sheet")}
        </Button>
      )}
      <GuideFields guides={guides} onSave={(guides) => keep("Guides", { guides })} />
      <BookTexts />
    </Card>
  );
}
