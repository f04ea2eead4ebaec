import ExpandIcon from "@mui/icons-material/ExpandMore";
import { Accordion, AccordionDetails, AccordionSummary } from "@mui/material";
import type { ReactNode } from "react";

/** A part of a card that is folded up until it is asked for. */
export function Fold({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Accordion disableGutters elevation={0} sx={{ bgcolor: "transparent", "&::before": { display: "none" } }}>
      <AccordionSummary
        expandIcon={<ExpandIcon />}
        sx={{ px: 0, minHeight: 36, fontSize: 14, fontWeight: 700, fontFamily: "inherit" }}
      >
        {title}
      </AccordionSummary>
      <AccordionDetails sx={{ px: 0, pt: 0 }}>{children}</AccordionDetails>
    </Accordion>
  );
}
