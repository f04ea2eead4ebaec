import CloseIcon from "@mui/icons-material/Close";
import { Box, IconButton, TextField, Typography } from "@mui/material";
import { DataGrid, type GridColDef, type GridSortModel } from "@mui/x-data-grid";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import type { Layer } from "../api/types";

export type Box4 = [number, number, number, number];

interface Row { id: number; box: Box4 | null; attributes: Record<string, string | number | boolean | null> }

// The attributes of a layer's features, a page at a time; a row leads to its place on the map.
export function AttributeTable({ layer, attributes, onGo, onClose }: { layer: Layer; attributes: string[]; onGo: (box: Box4) => void; onClose: () => void }) {
  const book = useBook();
  const [paging, setPaging] = useState({ page: 0, pageSize: 50 });
  const [sort, setSort] = useState<GridSortModel>([]);
  const [search, setSearch] = useState("");
  const asked = new URLSearchParams({ page: String(paging.page), size: String(paging.pageSize), sort: sort[0]?.field ?? "", descending: sort[0]?.sort === "desc" ? "1" : "0", search });
  const table = useQuery({
    queryKey: ["table", book.id, layer.id, asked.toString()],
    queryFn: ({ signal }) => get<{ total: number; rows: Row[] }>(`/api/books/${book.id}/layers/${layer.id}/table?${asked}`, signal),
    placeholderData: keepPreviousData,
  });
  const columns: GridColDef<Row>[] = attributes.map((name) => ({ field: name, headerName: name, width: 130, filterable: false, valueGetter: (_, row) => row.attributes[name] }));
  return (
    <Box component="section" aria-label={`Attributes of ${layer.title}`} sx={{ height: 300, flexShrink: 0, display: "flex", flexDirection: "column", bgcolor: "background.paper", borderTop: 1, borderColor: "divider" }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 2, px: 2, py: 0.5 }}>
        <Typography component="h2" sx={{ fontWeight: 700 }}>{layer.title}, attributes</Typography>
        <TextField placeholder="Search" value={search} onChange={(event) => { setSearch(event.target.value); setPaging({ ...paging, page: 0 }); }} slotProps={{ htmlInput: { "aria-label": "Search the table" } }} />
        {table.error && <Typography role="alert" color="error">{table.error.message}</Typography>}
        <Box sx={{ flex: 1 }} />
        <IconButton size="small" aria-label="Close the table" onClick={onClose}><CloseIcon fontSize="small" /></IconButton>
      </Box>
      <Box sx={{ flex: 1, minHeight: 0 }}>
        <DataGrid rows={table.data?.rows ?? []} columns={columns} rowCount={table.data?.total ?? 0} loading={table.isFetching} density="compact" disableColumnFilter
          paginationMode="server" sortingMode="server" paginationModel={paging} onPaginationModelChange={setPaging} pageSizeOptions={[25, 50, 100]} sortModel={sort} onSortModelChange={setSort}
          onRowClick={({ row }) => row.box && onGo(row.box)} aria-label={`Attributes of ${layer.title}`} sx={{ border: 0, borderRadius: 0 }} />
      </Box>
    </Box>
  );
}
