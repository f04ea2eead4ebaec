import CancelIcon from "@mui/icons-material/CancelOutlined";
import DoneIcon from "@mui/icons-material/CheckCircleOutlined";
import FailedIcon from "@mui/icons-material/ErrorOutlined";
import RunningIcon from "@mui/icons-material/HourglassEmptyOutlined";
import IncompleteIcon from "@mui/icons-material/ReportProblemOutlined";
import { Box, LinearProgress } from "@mui/material";
import type { Run } from "../api/types";
import { count } from "../api/words";
import { isOpen } from "./useRuns";
import { t } from "../texts/t";

const ENDED = {
  done: [DoneIcon, "success.main", "Done"],
  incomplete: [IncompleteIcon, "warning.main", "Incomplete"],
  failed: [FailedIcon, "error.main", "Failed"],
  cancelled: [CancelIcon, "text.secondary", "Stopped"],
} as const;

/** How far a run is, or how it ended. */
export function RunState({ run }: { run: Run }) {
  if (run.state === "waiting" || run.state === "running") {
    return (
      <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <RunningIcon fontSize="small" />
        <Box sx={{ flex: 1 }}>
          {run.state === "running" ? under(run) : waiting(run)}
          <LinearProgress
            variant="determinate"
            value={(100 * run.done) / Math.max(run.total, 1)}
            aria-label={t("Progress of run %{run}", { run: run.id })}
            sx={{ mt: 0.5, height: 6 }}
          />
        </Box>
      </Box>
    );
  }
  const [Icon, colour, text] = ENDED[run.state];
  const warnings = isOpen(run) ? 0 : run.notices.length;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, color: colour }}>
      <Icon fontSize="small" />
      <span>
        {text}
        {run.reason && run.state !== "cancelled" ? `: ${run.reason}` : ""}
        {run.state === "done" && warnings > 0 && t(" with %{value}", { value: count(warnings, "warning") })}
      </span>
    </Box>
  );
}

const under = (run: Run) =>
  run.order.form?.kind === "ground"
    ? t("Drawing the ground")
    : t("Sheet %{done} of %{total}", { done: run.done, total: run.total });

const waiting = (run: Run) =>
  run.place && run.place > 1
    ? t("%{value} before it", { value: count(run.place - 1, "run") })
    : t("Waiting for a worker");
