import { Box, Button } from "@mui/material";
import type { ElementOf } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { Pair } from "../fields/Pair";
import { lineEnds } from "../generated/kinds";
import { whole } from "./kinds";
import { bentAgain, straightened, type Shares } from "./bends";
import { useDrawnLine } from "./hand";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

type Line = ElementOf<"line">;

/** A line: straight across its box or through places of its own, what it begins with and ends in. */
export function LineFields({ element, onSave }: { element: Line; onSave: (patch: Partial<Line>) => Promise<unknown> }) {
  const shown = whole(element);
  const drawn = useDrawnLine();
  const points = element.points as Shares | undefined;
  const put = (patch: Partial<Line>) => void onSave(patch).catch(toldElsewhere);
  const ends = [["", t("nothing")], ...lineEnds] as const;
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {!points && (
        <Choice
          label={t("Runs")}
          value={shown.slope}
          choices={choices.line_element.slope}
          onChoose={(slope) => onSave({ slope })}
        />
      )}
      {points && (
        <>
          <Box sx={{ fontSize: 13 }}>
            {rich(t("Through <1/> places; drag them on the page."), { 1: points.length })}
          </Box>
          <Flag
            label={t("In a smooth curve")}
            value={shown.smooth}
            onSave={(smooth) => onSave({ smooth: smooth || undefined })}
          />
        </>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.25 }}>
        <Button onClick={() => put({ points: bentAgain(points, shown.slope) })}>{t("Add a bend")}</Button>
        {points && points.length > 2 && (
          <Button onClick={() => put({ points: points.filter((_, place) => place !== points.length - 2) })}>
            {t("Remove the last bend")}
          </Button>
        )}
        <Button aria-pressed={drawn.drawing} onClick={() => drawn.setDrawing(!drawn.drawing)}>
          {drawn.drawing ? t("Draw it on the page …") : t("Draw by hand")}
        </Button>
        {points && <Button onClick={() => put(straightened(points))}>{t("Straight")}</Button>}
      </Box>
      <Pair>
        <Choice
          label={t("Begins with")}
          value={element.first_end ?? ""}
          choices={ends}
          onChoose={(end) => onSave({ first_end: end === "" ? undefined : end })}
        />
        <Choice
          label={t("Ends in")}
          value={element.last_end ?? ""}
          choices={ends}
          onChoose={(end) => onSave({ last_end: end === "" ? undefined : end })}
        />
        {(element.first_end || element.last_end) && (
          <NumberOf label={t("Their size, mm")} part="line_element" of="end_mm" given={shown} onSave={onSave} />
        )}
      </Pair>
    </Box>
  );
}
