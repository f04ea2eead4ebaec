import DarkModeIcon from "@mui/icons-material/DarkModeOutlined";
import HistoryIcon from "@mui/icons-material/HistoryOutlined";
import KeyboardIcon from "@mui/icons-material/KeyboardOutlined";
import LightModeIcon from "@mui/icons-material/LightModeOutlined";
import RedoIcon from "@mui/icons-material/Redo";
import UndoIcon from "@mui/icons-material/Undo";
import { Box, Button, IconButton, Tooltip, Typography } from "@mui/material";
import { useColorScheme } from "@mui/material/styles";
import { Link, useLocation } from "react-router";
import { useBook, useChange, useChangeState } from "../api/book";
import { OpenGuide } from "../guide/OpenGuide";
import { STEPS, type StepId } from "./steps";
import { useLookBack } from "./useLookBack";
import { t } from "../texts/t";

/** The bar over every step: the book, the steps, undo and redo, whether all is saved. */
export function TopBar({ step, onHelp }: { step: StepId; onHelp: () => void }) {
  const book = useBook();
  return (
    <Box
      component="header"
      sx={{ display: "flex", alignItems: "stretch", height: 46, bgcolor: "ink.bar", color: "ink.onBar", flexShrink: 0 }}
    >
      <Tooltip title={t("All books")}>
        <Box
          component={Link}
          to="/books"
          aria-label={t("All books")}
          sx={{ display: "block", "&:focus-visible": { outline: "2px solid #fffdf6", outlineOffset: -3 } }}
        >
          <Box component="img" src="/mark.svg" alt="" sx={{ display: "block", width: 46, height: 46 }} />
        </Box>
      </Tooltip>
      <Box sx={{ px: 1.75, width: 220, alignSelf: "center", overflow: "hidden" }}>
        <Typography component="h1" noWrap sx={{ fontSize: 15, fontWeight: 700, lineHeight: 1.15 }}>
          {book.document.title}
        </Typography>
        <Typography noWrap sx={{ fontSize: 12, color: "ink.quiet", lineHeight: 1.2 }}>
          {book.document.subtitle}
        </Typography>
      </Box>
      <Steps current={step} />
      <Box sx={{ flex: 1 }} />
      <UndoRedo />
      <SchemeButton />
      <OpenGuide />
      <Tooltip title={t("Keys (?)")}>
        <IconButton aria-label={t("Keyboard shortcuts")} onClick={onHelp} sx={{ color: "ink.onBar" }}>
          <KeyboardIcon fontSize="small" />
        </IconButton>
      </Tooltip>
    </Box>
  );
}

function Steps({ current }: { current: StepId }) {
  const book = useBook();
  const { search } = useLocation();
  return (
    <Box component="nav" aria-label={t("Steps")} sx={{ display: "flex" }}>
      {STEPS.map(({ id, title, note }) => {
        const here = id === current;
        return (
          <Tooltip key={id} describeChild title={`${title}: ${note}`}>
            <Box
              component={Link}
              to={`/books/${book.id}/${id}${search}`}
              aria-current={here ? "step" : undefined}
              sx={{
                display: "flex",
                alignItems: "center",
                gap: 1,
                px: 2.75,
                textDecoration: "none",
                fontSize: 15,
                fontWeight: here ? 700 : 400,
                color: here ? "text.primary" : "ink.onBar",
                bgcolor: here ? "background.paper" : "transparent",
                clipPath: here ? "polygon(9px 0, 100% 0, calc(100% - 9px) 100%, 0 100%)" : "none",
                "&:hover": { textDecoration: here ? "none" : "underline" },
                "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main", outlineOffset: -3 },
              }}
            >
              {title}
              {id === "weave" && (
                <Box
                  component="span"
                  sx={{ px: 0.9, borderRadius: 9, fontSize: 12, fontWeight: 700, bgcolor: "#8c2f39", color: "#fffdf6" }}
                >
                  {book.cells.length}
                </Box>
              )}
            </Box>
          </Tooltip>
        );
      })}
    </Box>
  );
}

function UndoRedo() {
  const book = useBook();
  const { undo, redo } = useChange();
  const { pending } = useChangeState();
  const { open, setOpen } = useLookBack();
  const looking = book.at !== undefined;
  const style = { color: "ink.onBar", minWidth: 0, "&.Mui-disabled": { color: "#8a9497" } };
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, mr: 1 }}>
      <Tooltip title={step("Undo", book.undo)}>
        <span>
          <Button
            startIcon={<UndoIcon fontSize="small" />}
            onClick={undo}
            disabled={!book.undo || pending || looking}
            sx={style}
          >
            {t("Undo")}
          </Button>
        </span>
      </Tooltip>
      <Tooltip title={step("Redo", book.redo)}>
        <span>
          <IconButton aria-label={t("Redo")} onClick={redo} disabled={!book.redo || pending || looking} sx={style}>
            <RedoIcon fontSize="small" />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title={open ? t("Close the history") : t("History: what was changed, and the book as it was")}>
        <IconButton
          aria-label={t("History")}
          aria-pressed={open}
          onClick={() => setOpen(!open)}
          sx={{ ...style, ...(open && { bgcolor: "#ffffff2e" }) }}
        >
          <HistoryIcon fontSize="small" />
        </IconButton>
      </Tooltip>
      <Typography role="status" sx={{ fontSize: 13, color: "ink.quiet", ml: 0.5, minWidth: 108 }}>
        {looking ? t("Read only") : pending ? t("Saving…") : t("All changes saved")}
      </Typography>
    </Box>
  );
}

const step = (what: "Undo" | "Redo", label: string | null) =>
  label ? `${what}: ${label}` : t("Nothing of yours to %{toLowerCase}", { toLowerCase: what.toLowerCase() });

function SchemeButton() {
  const { mode, setMode } = useColorScheme();
  const dark = mode === "dark";
  return (
    <Tooltip title={dark ? t("Light") : t("Dark")}>
      <IconButton
        aria-label={dark ? t("Light colours") : t("Dark colours")}
        onClick={() => setMode(dark ? "light" : "dark")}
        sx={{ color: "ink.onBar" }}
      >
        {dark ? <LightModeIcon fontSize="small" /> : <DarkModeIcon fontSize="small" />}
      </IconButton>
    </Tooltip>
  );
}
