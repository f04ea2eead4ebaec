import { Box } from "@mui/material";
import type { ArrivedLayer } from "../api/types";
import { count, metres } from "../api/words";

/** What a layer of a file holds, in a few lines. */
export function Facts({
  layer,
  distance,
  brief = false,
}: {
  layer: ArrivedLayer;
  distance?: number | null;
  brief?: boolean;
}) {
  const corners = layer.box?.map((number) =>
    new Intl.NumberFormat("en-GB", { maximumFractionDigits: Math.abs(number) > 1000 ? 0 : 4 }).format(number),
  );
  return (
    <Box
      sx={{
        fontSize: 13,
        color: "text.secondary",
        mt: 0.5,
        "& dt": { float: "left", clear: "left", mr: 0.75, fontWeight: 600 },
        "& dd": { m: 0 },
      }}
      component="dl"
    >
      <dt>Features</dt>
      <dd>
        {count(layer.count, "feature")}
        {layer.asks_columns ? "" : `, ${layer.geometry.toLowerCase()}`}
      </dd>
      <dt>CRS</dt>
      <dd>{layer.reference_name ?? "not said"}</dd>
      {corners && !brief && (
        <>
          <dt>Extent</dt>
          <dd>
            {corners[0]}, {corners[1]} to {corners[2]}, {corners[3]}
            {distance ? `; ${metres(distance)} from the book’s ground` : ""}
          </dd>
        </>
      )}
      {layer.attributes.length > 0 && !brief && (
        <>
          <dt>Attributes</dt>
          <dd>{layer.attributes.map((attribute) => `${attribute.name} (${attribute.type})`).join(", ")}</dd>
        </>
      )}
    </Box>
  );
}
