import { Box } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook } from "../api/book";
import { post } from "../api/client";
import type { ScaleCount } from "../api/types";
import { count, ratio } from "../api/words";
import { written } from "../numbers/written";
import { t } from "../texts/t";

// "16 sheets", "more than 4,252": what is known of a scale that was not counted.
function words(found: ScaleCount): string {
  if (found.count !== null) return count(found.count, "sheet");
  if (found.more_than !== undefined) return t("more than %{more_than}", { more_than: written(found.more_than) });
  return found.fewer_than !== undefined
    ? t("fewer than %{fewer_than}", { fewer_than: written(found.fewer_than) })
    : t("not counted");
}

/** Neighbouring scales and what they would take, so that none is found by trial and error. */
export function Scales({ onChoose }: { onChoose: (scale: number) => void }) {
  const book = useBook();
  const index = book.document.index;
  const scales = useQuery({
    queryKey: ["scales", book.id, index, book.frame.width_mm, book.frame.height_mm],
    queryFn: ({ signal }) => post<ScaleCount[]>(`/api/books/${book.id}/scales`, {}, { signal }),
    staleTime: Infinity,
    enabled: index.kind !== "layer",
  });
  if (!scales.data) return null;
  return (
    <Box
      component="section"
      aria-label={t("Neighbouring scales")}
      sx={{
        position: "absolute",
        left: 14,
        bottom: 14,
        bgcolor: "background.paper",
        border: 1,
        borderColor: "divider",
        py: 0.5,
      }}
    >
      {scales.data.map((found) => {
        const { scale, count: sheets } = found;
        const here = scale === index.scale;
        return (
          <Box
            component="button"
            key={scale}
            disabled={here || sheets === null}
            onClick={() => onChoose(scale)}
            aria-current={here ? "true" : undefined}
            sx={{
              display: "grid",
              gridTemplateColumns: "70px minmax(84px, auto)",
              textAlign: "left",
              border: 0,
              bgcolor: "transparent",
              font: "inherit",
              fontSize: 13,
              lineHeight: "24px",
              px: 1.5,
              py: 0,
              color: here ? "thread.main" : "text.primary",
              fontWeight: here ? 700 : 400,
              cursor: here ? "default" : "pointer",
              "&:hover:enabled": { bgcolor: "thread.soft" },
            }}
          >
            <span>{ratio(scale)}</span> <span>{words(found)}</span>
          </Box>
        );
      })}
    </Box>
  );
}
