import { Box, Button, Typography } from "@mui/material";
import { layerFormats } from "../generated/kinds";
import { useWrittenFile } from "./useWrittenFile";
import { t } from "../texts/t";

/** A layer as a file: a large one is written by a job first, which shows its progress. */
export function LayerFiles({ layer }: { layer: string }) {
  const writing = useWrittenFile<{ format: string }>(`layers/${layer}/file`);
  return (
    <>
      <Box sx={{ fontSize: 13, color: "text.secondary", mt: 1 }}>{t("Export the layer as")}</Box>
      <Box sx={{ display: "flex", gap: 0.5 }}>
        {layerFormats.map(([format, title]) => (
          <Button
            key={format}
            variant="outlined"
            disabled={writing.isPending}
            onClick={() => writing.mutate({ format })}
          >
            {title}
          </Button>
        ))}
      </Box>
      {writing.error && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13 }}>
          {writing.error.message}
        </Typography>
      )}
    </>
  );
}
