import MoreIcon from "@mui/icons-material/MoreVert";
import { Box, IconButton, Menu, MenuItem } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { Field } from "../fields/Field";
import { DrawnPicture, PictureProblem, useServerPicture } from "../frame/ServerPicture";
import type { BookListed } from "../generated/answers";
import { t } from "../texts/t";
import { summary } from "./summary";

/** A book: its index as a small picture, its name, and what can be done with it without opening it. */
export function BookOnShelf({
  book,
  onRename,
  onDelete,
}: {
  book: BookListed;
  onRename: (title: string) => Promise<unknown>;
  onDelete: () => void;
}) {
  const picture = useServerPicture(`/api/books/${book.id}/index.svg?r=${book.revision}`);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [naming, setNaming] = useState(false);
  // Is it to be renamed once the menu is gone, which has the focus as long as it is there?
  const [asked, setAsked] = useState(false);
  const deeds = t("What can be done with %{title}", { title: book.title });
  const rename = async (title: string) => {
    if (title.trim() === "") throw new Error(t("Enter a title."));
    await onRename(title.trim());
    setNaming(false);
  };
  return (
    <li>
      <Box sx={{ position: "relative" }}>
        <Box
          component={Link}
          to={`/books/${book.id}/weave`}
          sx={{
            display: "block",
            bgcolor: "background.paper",
            border: 1,
            borderColor: "divider",
            p: 1.5,
            color: "text.primary",
            textDecoration: "none",
            "&:hover": { borderColor: "thread.main" },
            "&:focus-visible": { outline: "2px solid", outlineColor: "primary.main" },
          }}
        >
          <DrawnPicture
            picture={picture}
            sx={{ display: "block", width: "100%", height: 150, objectFit: "contain", bgcolor: "#fff" }}
          />
          <Box sx={{ fontWeight: 700, mt: 1, pr: 4 }}>{book.title}</Box>
          <Box sx={{ fontSize: 13, color: "text.secondary", pr: 4 }}>{summary(book)}</Box>
        </Box>
        <IconButton
          aria-label={deeds}
          aria-haspopup="menu"
          onClick={(event) => setAnchor(event.currentTarget)}
          sx={{ position: "absolute", right: 6, bottom: 20 }}
        >
          <MoreIcon fontSize="small" />
        </IconButton>
      </Box>
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{
          transition: {
            onExited: () => {
              setNaming(asked);
              setAsked(false);
            },
          },
          list: { dense: true, "aria-label": deeds },
        }}
      >
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setAsked(true);
          }}
        >
          {t("Rename")}
        </MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            onDelete();
          }}
        >
          {t("Move to the bin")}
        </MenuItem>
      </Menu>
      {naming && (
        <Box
          sx={{ p: 1.5 }}
          onKeyDown={(event) => event.key === "Escape" && setNaming(false)}
          // Left as it was, it is done with; what is refused stays to be mended.
          onBlur={(event) => (event.target as Element & { value?: string }).value === book.title && setNaming(false)}
        >
          <Field label={t("Title of %{title}", { title: book.title })} value={book.title} focused onSave={rename} />
        </Box>
      )}
      <PictureProblem picture={picture} name={book.title} />
    </li>
  );
}
