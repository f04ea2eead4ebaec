import CloseIcon from "@mui/icons-material/Close";
import FilterIcon from "@mui/icons-material/FilterAltOutlined";
import { Box, Button, IconButton, TextField, Typography } from "@mui/material";
import { DataGrid, type GridColDef, type GridRowSelectionModel, type GridSortModel } from "@mui/x-data-grid";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import { get } from "../api/client";
import type { Layer } from "../api/types";
import { count } from "../api/words";
import { ConditionEditor } from "../fields/ConditionEditor";
import type { Attribute } from "../api/useAttributes";
import { toldElsewhere } from "../api/toldElsewhere";
import type { Box4, TableRow as Row } from "../generated/answers";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

export type { Box4 };

// Selected features by identity, with where each lies.
export type Picked = Map<number, Box4 | null>;

interface AttributeTableProps {
  layer: Layer;
  attributes: Attribute[];
  selected: Picked;
  onPicked: (selected: Picked) => void;
  onGo: (box: Box4) => void;
  onClose: () => void;
}

/** The attributes of a layer's features, a page at a time; rows that are selected show on the map, and back. */
export function AttributeTable({ layer, attributes, selected, onPicked, onGo, onClose }: AttributeTableProps) {
  const book = useBook();
  const { change } = useChange();
  const [paging, setPaging] = useState({ page: 0, pageSize: 50 });
  const [sort, setSort] = useState<GridSortModel>([]);
  const [search, setSearch] = useState("");
  const [filter, setFilter] = useState<unknown>(undefined);
  const [filtering, setFiltering] = useState(false);
  const [only, setOnly] = useState(false);
  const asked = new URLSearchParams({
    page: String(paging.page),
    size: String(paging.pageSize),
    sort: sort[0]?.field ?? "",
    descending: sort[0]?.sort === "desc" ? "1" : "0",
    search,
  });
  if (filter) asked.set("when", JSON.stringify(filter));
  if (only && selected.size) asked.set("only", [...selected.keys()].join(","));
  const table = useQuery({
    queryKey: ["table", book.id, layer.id, layer.version ?? 1, book.reference.definition, asked.toString()],
    queryFn: ({ signal }) =>
      get<{ total: number; rows: Row[] }>(`/api/books/${book.id}/layers/${layer.id}/table?${asked}`, signal),
    placeholderData: keepPreviousData,
  });
  const rows = table.data?.rows ?? [];
  const columns: GridColDef<Row>[] = attributes.map(({ name, type }) => ({
    field: name,
    headerName: name,
    width: 130,
    filterable: false,
    align: type === "integer" || type === "real" ? "right" : "left",
    valueGetter: (_, row) => row.attributes[name],
  }));
  // Rows of other pages that are selected stay so.
  const pick = (model: GridRowSelectionModel) => {
    const fresh = new Map([...selected].filter(([id]) => !rows.some((row) => row.id === id)));
    const chosen = (row: Row) => (model.type === "include" ? model.ids.has(row.id) : !model.ids.has(row.id));
    rows.filter(chosen).forEach((row) => fresh.set(row.id, row.box));
    onPicked(fresh);
  };
  const cover = () => {
    void change("Study area", {
      index: { area: [{ layer: layer.id, features: [...selected.keys()].sort((a, b) => a - b) }] },
    }).catch(toldElsewhere);
  };
  return (
    <Box
      component="section"
      aria-label={t("Attributes of %{title}", { title: layer.title })}
      sx={{
        height: 310,
        flexShrink: 0,
        display: "flex",
        flexDirection: "column",
        bgcolor: "background.paper",
        borderTop: 1,
        borderColor: "divider",
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, px: 2, py: 0.5 }}>
        <Typography component="h2" sx={{ fontWeight: 700, whiteSpace: "nowrap" }}>
          {rich(t("<1/>, attributes"), { 1: layer.title })}
        </Typography>
        <TextField
          placeholder={t("Search")}
          value={search}
          onChange={(event) => {
            setSearch(event.target.value);
            setPaging({ ...paging, page: 0 });
          }}
          slotProps={{ htmlInput: { "aria-label": t("Search the table") } }}
        />
        <Button
          startIcon={<FilterIcon />}
          variant={filter ? "outlined" : "text"}
          aria-expanded={filtering}
          onClick={() => setFiltering(!filtering)}
        >
          {filter ? t("Filtered") : t("Filter")}
        </Button>
        {selected.size > 0 && (
          <>
            <Button onClick={() => setOnly(!only)} aria-pressed={only}>
              {only ? t("All rows") : t("%{value} selected", { value: count(selected.size, "row") })}
            </Button>
            <Button onClick={cover}>{t("Use as study area")}</Button>
            <Button
              color="inherit"
              onClick={() => {
                setOnly(false);
                onPicked(new Map());
              }}
            >
              {t("Clear selection")}
            </Button>
          </>
        )}
        {table.error && (
          <Typography role="alert" color="error">
            {table.error.message}
          </Typography>
        )}
        <Box sx={{ flex: 1 }} />
        <IconButton size="small" aria-label={t("Close the table")} onClick={onClose}>
          <CloseIcon fontSize="small" />
        </IconButton>
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        {filtering && (
          <Box
            sx={{ width: 320, flexShrink: 0, overflow: "auto", px: 2, py: 1, borderRight: 1, borderColor: "divider" }}
          >
            <ConditionEditor
              about={t("the filter")}
              attributes={attributes}
              condition={filter}
              onSave={async (fresh) => {
                setFilter(fresh);
                setPaging({ ...paging, page: 0 });
              }}
            />
          </Box>
        )}
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <DataGrid
            rows={rows}
            columns={columns}
            rowCount={table.data?.total ?? 0}
            loading={table.isFetching}
            density="compact"
            disableColumnFilter
            checkboxSelection
            disableRowSelectionOnClick
            keepNonExistentRowsSelected
            rowSelectionModel={{ type: "include", ids: new Set(selected.keys()) }}
            onRowSelectionModelChange={pick}
            paginationMode="server"
            sortingMode="server"
            paginationModel={paging}
            onPaginationModelChange={setPaging}
            pageSizeOptions={[25, 50, 100]}
            sortModel={sort}
            onSortModelChange={setSort}
            onRowClick={({ row }) => row.box && onGo(row.box)}
            aria-label={t("Attributes of %{title}", { title: layer.title })}
            sx={{ border: 0, borderRadius: 0 }}
          />
        </Box>
      </Box>
    </Box>
  );
}
