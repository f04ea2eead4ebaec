import { Box, Radio } from "@mui/material";
import { count, ratio } from "../api/words";
import type { Proposal } from "./started";
import { t } from "../texts/t";

interface ProposedScalesProps {
  proposal: Proposal;
  // The denominator that is chosen.
  chosen: number | null;
  // Others are being worked out.
  dimmed: boolean;
  onChoose: (scale: number) => void;
}

/** Scales side by side with the sheets that each would take. */
export function ProposedScales({ proposal, chosen, dimmed, onChoose }: ProposedScalesProps) {
  if (!proposal.scales) return null;
  return (
    <Box role="radiogroup" aria-label={t("Scale and number of sheets")} sx={{ opacity: dimmed ? 0.6 : 1 }}>
      {proposal.scales.map((entry) => (
        <Box
          key={entry.scale}
          component="label"
          sx={{
            display: "flex",
            alignItems: "center",
            fontSize: 14,
            cursor: entry.count === null ? "default" : "pointer",
          }}
        >
          <Radio
            size="small"
            sx={{ p: 0.25, mr: 0.75 }}
            name="scale"
            value={entry.scale}
            disabled={entry.count === null}
            checked={chosen === entry.scale}
            onChange={() => onChoose(entry.scale)}
          />
          <Box component="span" sx={{ width: 96, fontWeight: entry.scale === proposal.proposed ? 700 : 400 }}>
            {ratio(entry.scale)}
          </Box>
          <span>
            {entry.count === null
              ? t("too many sheets")
              : `${proposal.about ? "about " : ""}${count(entry.count, "sheet")}`}
            {entry.scale === proposal.proposed ? t(", proposed") : ""}
          </span>
        </Box>
      ))}
    </Box>
  );
}
