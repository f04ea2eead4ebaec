import FlagIcon from "@mui/icons-material/FlagOutlined";
import PrintIcon from "@mui/icons-material/PrintOutlined";
import RemoveIcon from "@mui/icons-material/Close";
import { Box, ButtonBase, IconButton } from "@mui/material";
import type { Exported, HistoryStep, Version } from "../api/history";
import { count } from "../api/words";
import { since, when, who } from "./words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface StepRowProps {
  // Nothing: the book as it began.
  step?: HistoryStep;
  now: Date;
  selected: boolean;
  // Is it the last one, behind which the book is as it stands?
  today: boolean;
  versions: Version[];
  runs: Exported[];
  onSelect: () => void;
  onRemove: (version: Version) => void;
}

/** A step of the history, with the names of the book as it was behind it and the exports that were made of that. */
export function StepRow({ step, now, selected, today, versions, runs, onSelect, onRemove }: StepRowProps) {
  const gone = step ? since(step) : null;
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: "divider" }}>
      <ButtonBase
        aria-pressed={selected}
        onClick={onSelect}
        sx={{
          display: "block",
          width: "100%",
          textAlign: "left",
          fontFamily: "inherit",
          px: 0.75,
          py: 0.6,
          bgcolor: selected ? "action.selected" : undefined,
          "&:hover": { bgcolor: "action.hover" },
          "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: -2 },
        }}
      >
        <Box
          sx={{ fontSize: 13.5, fontWeight: 600, overflowWrap: "anywhere", ...(gone && { color: "text.secondary" }) }}
        >
          {step ? step.label : t("The book as it began")}
        </Box>
        {step && (
          <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>
            {when(step.at, now)} · {who(step)}
            {step.steps > 1 && t(" · %{value} in one", { value: count(step.steps, "step") })}
            {gone && ` · ${gone}`}
            {today && t(" · the book today")}
          </Box>
        )}
      </ButtonBase>
      {versions.map((version) => (
        <Box key={version.id} sx={{ display: "flex", alignItems: "center", gap: 0.5, pl: 0.75, fontSize: 13 }}>
          <FlagIcon sx={{ fontSize: 16, color: "primary.main" }} />
          <Box sx={{ flex: 1, fontWeight: 600, overflowWrap: "anywhere" }}>{version.name}</Box>
          <IconButton
            size="small"
            aria-label={t("Remove the name %{name}", { name: version.name })}
            title={t("Remove the name; the state stays")}
            onClick={() => onRemove(version)}
          >
            <RemoveIcon sx={{ fontSize: 15 }} />
          </IconButton>
        </Box>
      ))}
      {runs.map((run) => (
        <Box key={run.id} sx={{ display: "flex", alignItems: "center", gap: 0.5, pl: 0.75, pb: 0.25, fontSize: 13 }}>
          {rich(t("<1/>Exported: <2/>"), {
            1: <PrintIcon sx={{ fontSize: 16, color: "text.secondary" }} />,
            2: run.title
              ? t("%{title}, run %{run}", { title: run.title, run: run.id })
              : t("run %{run}", { run: run.id }),
          })}
        </Box>
      ))}
    </Box>
  );
}
