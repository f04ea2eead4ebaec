import { Box, Checkbox, MenuItem, TextField } from "@mui/material";
import type { Layer, PdfManner } from "../api/types";
import { Fold } from "../frame/Fold";
import { t } from "../texts/t";

type State = NonNullable<PdfManner["layers"]>[number];

interface PdfLayersProps {
  pdf: { layers: readonly State[] | State[] };
  layers: Layer[];
  // By a standard, layers print as they are shown.
  fixed: boolean;
  change: (patch: Partial<PdfManner>) => Promise<unknown>;
}

/** How each layer is found when the file is opened, and whether it prints. */
export function PdfLayers({ pdf, layers, fixed, change }: PdfLayersProps) {
  const of = (id: string): State => pdf.layers.find((state) => state.id === id) ?? { id };
  const put = (state: State) => {
    const plain = (state.shown ?? true) && (state.printed ?? "as shown") === "as shown";
    const others = pdf.layers.filter((known) => known.id !== state.id);
    void change({ layers: plain ? others : [...others, state] });
  };
  return (
    <Fold title={t("Layer visibility on opening")}>
      <Box sx={{ display: "flex", justifyContent: "space-between", fontSize: 12.5, color: "text.secondary" }}>
        <span>{t("Shown")}</span>
        {!fixed && <Box sx={{ width: 108 }}>{t("Printed")}</Box>}
      </Box>
      {[...layers].reverse().map((layer) => {
        const state = of(layer.id);
        return (
          <Box
            key={layer.id}
            sx={{
              display: "grid",
              gridTemplateColumns: "32px minmax(0, 1fr) 108px",
              alignItems: "center",
              fontSize: 13.5,
            }}
          >
            <Checkbox
              size="small"
              checked={state.shown ?? true}
              onChange={(event) => put({ ...state, shown: event.target.checked })}
              slotProps={{ input: { "aria-label": t("%{title} shown", { title: layer.title }) } }}
              sx={{ p: 0.5 }}
            />
            <Box sx={{ overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" }}>{layer.title}</Box>
            {!fixed && (
              <TextField
                select
                value={state.printed ?? "as shown"}
                onChange={(event) => put({ ...state, printed: event.target.value as State["printed"] })}
                slotProps={{ htmlInput: { "aria-label": t("%{title} printed", { title: layer.title }) } }}
              >
                <MenuItem value="as shown">{t("as shown")}</MenuItem>
                <MenuItem value="always">{t("prints")}</MenuItem>
                <MenuItem value="never">{t("no print")}</MenuItem>
              </TextField>
            )}
          </Box>
        );
      })}
    </Fold>
  );
}
