import { Box, Button, LinearProgress } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { useBook } from "../../api/book";
import { get } from "../../api/client";
import { useSheet } from "../../frame/useSheet";
import type { Found, LegendsOverfull as Part } from "../../generated/answers";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

interface Checked {
  found: Found[];
  fullest: Part["fullest"];
  // Up to which sheet it has come, or null when it is done.
  next: number | null;
  count: number;
  stopped: boolean;
}

/**
 * Looks through the legends of all sheets, some at a time, until it is stopped: where rows have no room, and which is
 * the fullest.
 */
export function LegendCheck() {
  const book = useBook();
  const { go } = useSheet();
  const [checked, setChecked] = useState<Checked | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const asking = useRef<AbortController | null>(null);
  const revision = book.revision;
  useEffect(() => {
    setChecked(null);
    return () => asking.current?.abort();
  }, [revision]);
  const check = async () => {
    const stop = new AbortController();
    asking.current = stop;
    setProblem(null);
    let all: Checked = { found: [], fullest: null, next: 0, count: 0, stopped: false };
    try {
      while (all.next !== null) {
        setChecked(all);
        const part: Part = await get<Part>(`/api/books/${book.id}/legends/overfull?from=${all.next}`, stop.signal);
        const fuller = part.fullest && (!all.fullest || part.fullest.rows > all.fullest.rows);
        all = {
          found: [...all.found, ...part.found],
          fullest: fuller ? part.fullest : all.fullest,
          next: part.next,
          count: part.count,
          stopped: false,
        };
      }
      setChecked(all);
    } catch (error) {
      if (stop.signal.aborted) setChecked((known) => known && { ...known, stopped: true });
      else setProblem((error as Error).message);
    }
  };
  const busy = checked !== null && checked.next !== null && !checked.stopped && !problem;
  return (
    <Box sx={{ mt: 1.5 }}>
      <Box sx={{ display: "flex", gap: 0.5 }}>
        <Button variant="outlined" disabled={busy} onClick={() => void check()}>
          {t("Check the legends of all sheets")}
        </Button>
        {busy && <Button onClick={() => asking.current?.abort()}>{t("Stop")}</Button>}
      </Box>
      {busy && (
        <LinearProgress
          variant="determinate"
          aria-label={t("Sheets whose legends were checked")}
          value={checked.count === 0 ? 0 : (100 * (checked.next ?? 0)) / checked.count}
          sx={{ mt: 0.5 }}
        />
      )}
      {problem && (
        <Box role="alert" sx={{ fontSize: 13, color: "error.main" }}>
          {problem}
        </Box>
      )}
      <Box role="status" sx={{ fontSize: 13, mt: 0.5 }}>
        {checked && !busy && (
          <>
            {summary(checked)}
            {checked.fullest && (
              <>
                {" "}
                {rich(t("The fullest has <1/> rows: <2/>."), {
                  1: checked.fullest.rows,
                  2: (
                    <Button
                      sx={{ p: 0, minWidth: 0, verticalAlign: "baseline" }}
                      onClick={() => go(checked.fullest!.number)}
                    >
                      {rich(t("sheet <1/>"), { 1: checked.fullest.name })}
                    </Button>
                  ),
                })}
              </>
            )}
          </>
        )}
      </Box>
      {checked && !busy && checked.found.length > 0 && (
        <Box component="ul" aria-label={t("Legends that do not fit")} sx={{ m: 0, mt: 0.5, pl: 2, fontSize: 13 }}>
          {checked.found.map(({ number, name, element, sentence }) => (
            <li key={`${number} ${element} ${sentence}`}>
              <Button sx={{ p: 0, minWidth: 0, verticalAlign: "baseline" }} onClick={() => go(number)}>
                {name}
              </Button>
              : {sentence}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function summary({ found, count, stopped }: Checked): string {
  if (stopped) return t("Stopped before all sheets were checked.");
  const sheets = new Set(found.map(({ number }) => number)).size;
  if (sheets === 0)
    return count === 1
      ? t("The legend fits on the sheet.")
      : t("The legends fit on all %{countText} sheets.", { countText: count });
  return sheets === 1
    ? t("On 1 sheet the legend does not fit.")
    : t("On %{sheets} sheets the legend does not fit.", { sheets });
}
