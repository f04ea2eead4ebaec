import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { ArrivedLayer } from "../api/types";
import { t } from "../texts/t";

/** Which columns of a table hold its places; found ones can be put right. */
export function ColumnChooser({
  layer,
  onColumns,
}: {
  layer: ArrivedLayer;
  onColumns: (columns: { x?: string; y?: string; wkt?: string }) => Promise<unknown>;
}) {
  const [columns, setColumns] = useState<{ x?: string; y?: string; wkt?: string }>(layer.columns ?? {});
  const [problem, setProblem] = useState<string | null>(null);
  const names = layer.attributes.map((attribute) => attribute.name);
  const text = columns.wkt !== undefined;
  const ready = text ? columns.wkt !== "" : !!columns.x && !!columns.y;
  const changed = JSON.stringify(columns) !== JSON.stringify(layer.columns ?? {});
  const select = (label: string, key: "x" | "y" | "wkt") => (
    <TextField
      select
      label={label}
      value={names.includes(columns[key] ?? "") ? columns[key] : ""}
      onChange={(event) => setColumns({ ...columns, [key]: event.target.value })}
    >
      {names.map((name) => (
        <MenuItem key={name} value={name}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box
      role="group"
      aria-label={t("Columns of places of %{title}", { title: layer.title })}
      sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)", gap: 1, mt: 1 }}
    >
      {layer.asks_columns && (
        <Typography sx={{ gridColumn: "1 / -1", fontSize: 13, fontWeight: 600 }}>
          {t("Which columns hold its places?")}
        </Typography>
      )}
      {text ? (
        select(t("Well-known text"), "wkt")
      ) : (
        <>
          {select(t("East or lon"), "x")}
          {select(t("North or lat"), "y")}
        </>
      )}
      <Button onClick={() => setColumns(text ? {} : { wkt: "" })} sx={{ justifySelf: "start" }}>
        {text ? t("two columns instead") : t("text (WKT) instead")}
      </Button>
      {changed && (
        <Button
          variant="outlined"
          disabled={!ready}
          onClick={() => void onColumns(columns).catch((error: Error) => setProblem(error.message))}
        >
          {t("Look again")}
        </Button>
      )}
      {problem && (
        <Typography role="alert" sx={{ gridColumn: "1 / -1", color: "error.main", fontSize: 13 }}>
          {problem}
        </Typography>
      )}
    </Box>
  );
}
