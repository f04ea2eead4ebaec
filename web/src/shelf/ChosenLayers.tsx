import { Box, Checkbox, TextField } from "@mui/material";
import { post } from "../api/client";
import { ColumnChooser } from "../arrivals/ColumnChooser";
import { Facts } from "../arrivals/Facts";
import type { Started } from "./started";
import { t } from "../texts/t";

interface ChosenLayersProps {
  start: Started;
  // By the names of the file's layers.
  chosen: Record<string, boolean>;
  titles: Record<string, string>;
  onChoose: (chosen: Record<string, boolean>) => void;
  onTitle: (titles: Record<string, string>) => void;
  onStarted: (fresh: Started) => void;
}

/** The file's layers: which are imported, under which title. */
export function ChosenLayers({ start, chosen, titles, onChoose, onTitle, onStarted }: ChosenLayersProps) {
  const only = start.report.length === 1;
  return (
    <>
      {start.report.map((layer) => (
        <Box key={layer.name} sx={{ borderTop: 1, borderColor: "divider", pt: 1 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
            {!only && (
              <Checkbox
                size="small"
                sx={{ p: 0.5 }}
                checked={chosen[layer.name] ?? false}
                onChange={(event) => onChoose({ ...chosen, [layer.name]: event.target.checked })}
                slotProps={{ input: { "aria-label": t("Import %{title}", { title: layer.title }) } }}
              />
            )}
            <TextField
              fullWidth
              value={titles[layer.name] ?? ""}
              onChange={(event) => onTitle({ ...titles, [layer.name]: event.target.value })}
              slotProps={{ htmlInput: { "aria-label": t("Title of %{title}", { title: layer.title }) } }}
            />
          </Box>
          <Facts layer={layer} brief={!only} />
          {(layer.asks_columns || layer.columns) && (
            <ColumnChooser
              layer={layer}
              onColumns={(columns) => post<Started>(`/api/starts/${start.id}/columns`, { columns }).then(onStarted)}
            />
          )}
        </Box>
      ))}
    </>
  );
}
