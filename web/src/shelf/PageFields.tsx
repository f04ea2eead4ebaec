import { Box, MenuItem, TextField } from "@mui/material";
import { pageSizes } from "../generated/kinds";
import { t } from "../texts/t";

interface PageFieldsProps {
  page: { size: string; orientation: string };
  onPage: (page: { size: string; orientation: string }) => void;
}

/** The paper of a new book. */
export function PageFields({ page, onPage }: PageFieldsProps) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
      <TextField
        select
        label={t("Page")}
        value={page.size}
        onChange={(event) => onPage({ ...page, size: event.target.value })}
      >
        {pageSizes.map((size) => (
          <MenuItem key={size} value={size}>
            {size}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label={t("Orientation")}
        value={page.orientation}
        onChange={(event) => onPage({ ...page, orientation: event.target.value })}
      >
        <MenuItem value="landscape">{t("landscape")}</MenuItem>
        <MenuItem value="portrait">{t("portrait")}</MenuItem>
      </TextField>
    </Box>
  );
}
