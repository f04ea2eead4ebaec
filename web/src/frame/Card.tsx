import { Box, Typography } from "@mui/material";
import { createContext, useContext, type ReactNode } from "react";
import { GuideButton } from "../guide/GuideButton";
import type { Place } from "../guide/places";

/** How wide a card is, in px. */
export const CARD_WIDTH = 292;

/** What stands in the place of every step's own card, while it is there. */
export const CardInPlace = createContext<ReactNode>(null);

/** The card on the right: what is selected, its main settings first. */
export function Card(props: { title: string; note?: ReactNode; help: Place; children: ReactNode }) {
  return useContext(CardInPlace) ?? <Panel {...props} />;
}

/** The same without anything in its place. */
export function Panel({
  title,
  note,
  help,
  children,
}: {
  title: string;
  note?: ReactNode;
  // What of the guide explains it.
  help: Place;
  children: ReactNode;
}) {
  return (
    <Box
      component="aside"
      aria-label={title}
      sx={{
        width: CARD_WIDTH,
        flexShrink: 0,
        bgcolor: "background.paper",
        borderLeft: 1,
        borderColor: "divider",
        overflow: "auto",
        p: 2.25,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 1.25, mb: 1.5 }}>
        <Typography component="h2" variant="h2">
          {title}
        </Typography>
        {note && <Typography sx={{ fontSize: 13, color: "text.secondary" }}>{note}</Typography>}
        <GuideButton place={help} />
      </Box>
      {children}
    </Box>
  );
}

/** What a part of a card is about. */
export function Heading({ text }: { text: ReactNode }) {
  return (
    <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700, mt: 2, mb: 0.5 }}>
      {text}
    </Typography>
  );
}

/** A row of a card: what it is, and its value. */
export function Row({ name, children, unit }: { name: string; children: ReactNode; unit?: string }) {
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: "104px 1fr auto",
        alignItems: "baseline",
        gap: 1,
        py: 0.75,
        borderBottom: 1,
        borderColor: "divider",
        fontSize: 14,
      }}
    >
      <Box sx={{ color: "text.secondary", fontSize: 13 }}>{name}</Box>
      <Box>{children}</Box>
      {unit && <Box sx={{ color: "text.secondary", fontSize: 13 }}>{unit}</Box>}
    </Box>
  );
}
