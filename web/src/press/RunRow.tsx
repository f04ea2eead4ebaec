import { Box, Button, IconButton } from "@mui/material";
import ExpandIcon from "@mui/icons-material/ExpandMore";
import { useState } from "react";
import type { Run } from "../api/types";
import { bytes, count } from "../api/words";
import { RunDetails } from "./RunDetails";
import { RunState } from "./RunState";
import { inBrief, usePpi } from "./order";
import { isOpen } from "./useRuns";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface RunRowProps {
  run: Run;
  base: string;
  revision: number;
  act: (path: string, method?: string, body?: unknown) => void;
  onMissing: () => void;
  onUse: () => void;
  onRepeat: () => void;
}

/** A run: what was asked for, how far it is, what it made. */
export function RunRow({ run, base, revision, act, onMissing, onUse, onRepeat }: RunRowProps) {
  const [unfolded, setUnfolded] = useState(false);
  const ppi = usePpi(run.order);
  const download =
    run.file_count > 1
      ? t("Download %{value}, %{bytes}", { value: count(run.file_count, "file"), bytes: bytes(run.bytes) })
      : t("Download, %{bytes}", { bytes: bytes(run.bytes) });
  const asked = new Date(run.created_at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
  return (
    <Box
      component="article"
      aria-label={t("Run %{run}", { run: run.id })}
      data-run={run.id}
      sx={{ borderTop: 1, borderColor: "divider", px: 2, py: 1 }}
    >
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "minmax(0, 1.2fr) minmax(0, 1fr) 232px",
          gap: 2,
          alignItems: "center",
          fontSize: 14,
        }}
      >
        <Box>
          <Box sx={{ fontWeight: 600 }}>{run.title ?? t("Run %{run}", { run: run.id })}</Box>
          <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>
            {rich(t("<1/>, <2/> ppi · <3/><4/>"), {
              1: inBrief(run.order),
              2: ppi,
              3: asked,
              4: !run.own && run.asked_from && t(" · from %{asked_from}", { asked_from: run.asked_from }),
            })}
          </Box>
        </Box>
        <RunState run={run} />
        <Box sx={{ display: "flex", gap: 0.5, justifyContent: "flex-end", alignItems: "center" }}>
          {isOpen(run) && (
            <>
              {(run.place ?? 1) > 1 && <Button onClick={() => act("/first")}>{t("Move to front")}</Button>}
              <Button color="error" onClick={() => act("/cancel")} aria-label={t("Stop run %{run}", { run: run.id })}>
                {t("Stop")}
              </Button>
            </>
          )}
          {run.state === "incomplete" && (
            <Button
              variant="outlined"
              onClick={onMissing}
              aria-label={t("Export the missing sheets of run %{run}", { run: run.id })}
            >
              {t("Export the missing")}
            </Button>
          )}
          {run.file_count > 0 && !isOpen(run) && (
            <Button
              href={`${base}/${run.id}/file`}
              aria-label={t("%{download}, run %{run}", { download, run: run.id })}
            >
              {download}
            </Button>
          )}
          <IconButton
            size="small"
            aria-expanded={unfolded}
            aria-label={t("Details of run %{run}", { run: run.id })}
            onClick={() => setUnfolded(!unfolded)}
            sx={{ transform: unfolded ? "rotate(180deg)" : "none" }}
          >
            <ExpandIcon fontSize="small" />
          </IconButton>
        </Box>
      </Box>
      {run.file_count > 0 && run.revision < revision && (
        <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{t("The book has changed since.")}</Box>
      )}
      {unfolded && <RunDetails run={run} base={base} act={act} onUse={onUse} onRepeat={onRepeat} />}
    </Box>
  );
}
