import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box, Button, Menu, MenuItem } from "@mui/material";
import { useState } from "react";
import { useBook } from "../api/book";
import type { Book, Grid, GriddedElement, Grids } from "../api/types";
import { useChange } from "../api/book";
import { toldElsewhere } from "../api/toldElsewhere";
import { Heading } from "../frame/Card";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const SIDES = ["top", "right", "bottom", "left"] as const;

/** The coordinate grids of a frame, each with what it comes to on the sheet that is shown. */
export function GridList({
  frame,
  grids,
  sheet,
  onOpen,
  onWiden,
}: {
  frame: GriddedElement;
  grids: Grids | undefined;
  sheet: number | null;
  onOpen: (id: string) => void;
  onWiden: (grid: Grid) => Promise<unknown>;
}) {
  const book = useBook();
  const { ask } = useChange();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const path = `sheets/${sheet}/grids`;
  const add = async (preset: string) => {
    setAnchor(null);
    const answer = await ask<Book & { made: string[] }>(path, { preset, frame: frame.id });
    onOpen(answer.made[0]!);
  };
  const tight = grids ? SIDES.filter((side) => grids.beyond[side] > 0) : [];
  return (
    <>
      <Box sx={{ display: "flex", alignItems: "baseline", justifyContent: "space-between" }}>
        <Heading text={t("Coordinate grids")} />
        <Button aria-haspopup="menu" disabled={!grids} onClick={(event) => setAnchor(event.currentTarget)}>
          {t("Add a grid")}
        </Button>
      </Box>
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{
          list: { dense: true, "aria-label": t("Grids for this ground") },
          paper: { role: "dialog", "aria-label": t("Add a grid"), sx: { maxWidth: 340 } },
        }}
      >
        {(grids?.presets ?? []).map((preset) => (
          <MenuItem
            key={preset.key}
            onClick={() => void add(preset.key).catch(toldElsewhere)}
            sx={{ display: "block", whiteSpace: "normal" }}
          >
            {preset.title}
            <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{preset.note}</Box>
          </MenuItem>
        ))}
      </Menu>
      {(frame.grids ?? []).length === 0 && (
        <Box sx={{ fontSize: 13, color: "text.secondary" }}>
          {t("No grids yet. Add one so that positions can be read from the map.")}
        </Box>
      )}
      <Box component="ul" aria-label={t("Grids of this frame")} sx={{ m: 0, p: 0, listStyle: "none" }}>
        {(frame.grids ?? []).map((grid) => {
          const words = grids?.grids.find((known) => known.id === grid.id);
          return (
            <Box component="li" key={grid.id} sx={{ borderBottom: 1, borderColor: "divider", py: 0.5 }}>
              <Button
                onClick={() => onOpen(grid.id)}
                sx={{ px: 0, py: 0, color: grid.hidden ? "text.secondary" : undefined }}
              >
                {grid.title ?? grid.id}
                {grid.hidden && t(", hidden")}
              </Button>
              {words && !grid.hidden && <GridSummary sentence={words.sentence} warnings={words.warnings} />}
              {words?.wider && !grid.hidden && (
                <Button
                  color="warning"
                  sx={{ py: 0 }}
                  onClick={() => void onWiden({ ...grid, interval: words.wider }).catch(toldElsewhere)}
                >
                  {rich(t("Widen to <1/>"), { 1: [...new Set([words.wider.x, words.wider.y])].join(" by ") })}
                </Button>
              )}
            </Box>
          );
        })}
      </Box>
      {tight.length > 0 && (
        <Box role="alert" sx={{ mt: 1, fontSize: 13, color: "warning.main" }}>
          {rich(t("Border and labels go beyond the paper: <1/>. <2/>"), {
            1: tight
              .map((side) => t("%{side} by %{toFixed} mm", { side, toFixed: grids!.beyond[side].toFixed(1) }))
              .join(", "),
            2: (
              <Button
                color="warning"
                sx={{ py: 0 }}
                onClick={() => void ask(`${path}/room`, { frame: frame.id }).catch(toldElsewhere)}
              >
                {t("Make the frame smaller")}
              </Button>
            ),
          })}
        </Box>
      )}
      {book.cells.length === 0 && sheet !== 0 && (
        <Box sx={{ fontSize: 13 }}>{t("Generate the index first; a grid is set on a sheet with a map.")}</Box>
      )}
    </>
  );
}

/** A grid's sentence, and what is to be warned of. */
export function GridSummary({ sentence, warnings }: { sentence: string; warnings: string[] }) {
  return (
    <Box sx={{ fontSize: 13, lineHeight: 1.35 }}>
      {!warnings.includes(sentence) && <Box sx={{ color: "text.secondary" }}>{sentence}</Box>}
      {warnings.map((warning) => (
        <Box key={warning} sx={{ color: "warning.main", display: "flex", gap: 0.5, mt: 0.25 }}>
          <WarningIcon titleAccess={t("Warning")} sx={{ fontSize: 16, mt: "1px" }} />
          <span>{warning}</span>
        </Box>
      ))}
    </Box>
  );
}
