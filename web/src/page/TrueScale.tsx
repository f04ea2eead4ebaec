import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { get } from "../api/client";
import { count, groundSize } from "../api/words";
import { rounded } from "../numbers/written";
import { Row } from "../frame/Card";
import type { SheetFacts as Facts } from "../generated/answers";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const oneDecimal = (value: number) => rounded(value, 1, 1);

const useFacts = (sheet: number) => {
  const book = useBook();
  return useQuery({
    queryKey: ["facts", book.id, book.revision, sheet],
    queryFn: ({ signal }) => get<Facts>(`/api/books/${book.id}/sheets/${sheet}/facts`, signal),
    staleTime: Infinity,
  });
};

// Scale factors that differ by less are told as one.
const ALIKE = 5e-5;
const factor = (value: number) => rounded(value, 5, 5);

function factors({ point_scale, meridian_scale, areal_scale }: Facts): string {
  if (Math.abs(point_scale - meridian_scale) < ALIKE) return factor(point_scale);
  return t("%{point_scale} along the bar, %{meridian_scale} along the meridian, %{areal_scale} of areas", {
    point_scale: factor(point_scale),
    meridian_scale: factor(meridian_scale),
    areal_scale: factor(areal_scale),
  });
}

/** How much ground the sheet shows, along its middle lines on the ellipsoid. */
export function Shown({ sheet }: { sheet: number }) {
  const facts = useFacts(sheet);
  return <Row name={t("Shows")}>{facts.data ? groundSize(facts.data.width_m, facts.data.height_m) : "…"}</Row>;
}

/** The feature of the study area that the sheet is of. */
export function FeatureShown({ sheet }: { sheet: number }) {
  const feature = useFacts(sheet).data?.feature;
  if (!feature) return null;
  return (
    <Row name={t("Feature")} unit={feature.own ? undefined : t("main feature")}>
      {feature.name}
    </Row>
  );
}

/** The scale on the ellipsoid at the sheet's centre, and the angle from true north to grid north. */
export function TrueScale({ sheet }: { sheet: number }) {
  const facts = useFacts(sheet);
  return (
    <>
      <Row name={t("Scale on the ellipsoid")}>{facts.data ? `1:${oneDecimal(facts.data.true_scale)}` : "…"}</Row>
      <Row name={t("Scale factor")}>{facts.data ? factors(facts.data) : "…"}</Row>
      <Row name={t("Convergence")}>{facts.data?.convergence ?? "…"}</Row>
    </>
  );
}

/** How many labels a sheet shows, and how many have no room on it. */
export function LabelCount({ sheet }: { sheet: number }) {
  const labels = useFacts(sheet).data?.labels;
  if (!labels || labels.placed + labels.unplaced === 0) return null;
  return (
    <>
      {" "}
      {rich(t("<1/> here<2/>."), {
        1: <b>{count(labels.placed, "label")}</b>,
        2: labels.unplaced ? (
          <>
            , <b>{rich(t("<1/> unplaced"), { 1: labels.unplaced })}</b>
          </>
        ) : null,
      })}
    </>
  );
}

/** What the sheet does not show for want of room, with numbers. */
export function LeftOutOfSheet({ sheet }: { sheet: number }) {
  const sentences = useFacts(sheet).data?.left_out ?? [];
  if (sentences.length === 0) return null;
  return (
    <Box
      role="note"
      aria-label={t("Left out of this sheet")}
      sx={{ display: "flex", gap: 1, mt: 1.5, p: 1, border: 1, borderColor: "warning.main", fontSize: 13 }}
    >
      <WarningIcon fontSize="small" sx={{ color: "warning.main" }} />
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </Box>
    </Box>
  );
}
