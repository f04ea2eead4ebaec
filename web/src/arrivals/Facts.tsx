import { Box } from "@mui/material";
import type { ArrivedLayer } from "../api/types";
import { count, metres } from "../api/words";
import { rounded } from "../numbers/written";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

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
  const corners = layer.box?.map((number) => rounded(number, Math.abs(number) > 1000 ? 0 : 4));
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
      <dt>{t("Features")}</dt>
      <dd>
        {count(layer.count, "feature")}
        {layer.asks_columns ? "" : `, ${layer.geometry.toLowerCase()}`}
      </dd>
      <dt>{t("CRS")}</dt>
      <dd>{layer.reference_name ?? t("not stated")}</dd>
      {corners && !brief && (
        <>
          <dt>{t("Extent")}</dt>
          <dd>
            {rich(t("<1/>, <2/> to <3/>, <4/><5/>"), {
              1: corners[0],
              2: corners[1],
              3: corners[2],
              4: corners[3],
              5: distance ? t("; %{distance} from the book’s ground", { distance: metres(distance) }) : "",
            })}
          </dd>
        </>
      )}
      {layer.attributes.length > 0 && !brief && (
        <>
          <dt>{t("Attributes")}</dt>
          <dd>{layer.attributes.map((attribute) => `${attribute.name} (${attribute.type})`).join(", ")}</dd>
        </>
      )}
    </Box>
  );
}
