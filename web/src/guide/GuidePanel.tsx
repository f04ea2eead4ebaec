import CloseIcon from "@mui/icons-material/Close";
import ListIcon from "@mui/icons-material/FormatListBulleted";
import { Box, IconButton, Paper, TextField, Tooltip, Typography } from "@mui/material";
import { useEffect, useMemo, useRef, useState } from "react";
import Markdown from "react-markdown";
import rehypeSlug from "rehype-slug";
import remarkGfm from "remark-gfm";
import { CHAPTERS } from "./places";
import { excerpt, searchIn } from "./sections";
import { pictureOf, sections, textOf } from "./texts";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const MOST_FOUND = 12;

/** The guide beside the card that it explains: its contents, a search, one chapter. */
export default function GuidePanel({
  place,
  card,
  onShow,
}: {
  place: string;
  // How wide the card on the right is, which stays in view.
  card: number;
  onShow: (place: string | null) => void;
}) {
  const [words, setWords] = useState("");
  const search = useMemo(() => searchIn(sections), []);
  const page = useRef<HTMLDivElement>(null);
  const [chapter = "", section] = place.split(".");
  const text = textOf(chapter);
  const searching = words.trim() !== "";
  const found = searching ? search(words) : null;
  useEffect(() => {
    const target = section ? page.current?.querySelector(`#${CSS.escape(section)}`) : null;
    if (target) target.scrollIntoView({ block: "start" });
    else page.current?.scrollTo(0, 0);
  }, [chapter, section, searching]);
  const show = (next: string) => {
    setWords("");
    onShow(next);
  };
  return (
    <Paper
      component="aside"
      aria-label={t("Guide")}
      elevation={8}
      square
      onKeyDown={(event) => event.key === "Escape" && onShow(null)}
      sx={{
        position: "fixed",
        zIndex: "drawer",
        top: 46,
        right: card,
        bottom: 0,
        width: 440,
        display: "flex",
        flexDirection: "column",
        borderLeft: 1,
        borderColor: "divider",
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.5, p: 1, borderBottom: 1, borderColor: "divider" }}>
        <Tooltip title={t("Contents")}>
          <IconButton aria-label={t("Contents of the guide")} size="small" onClick={() => show("contents")}>
            <ListIcon fontSize="small" />
          </IconButton>
        </Tooltip>
        <TextField
          type="search"
          label={t("Search the guide")}
          value={words}
          onChange={(event) => setWords(event.target.value)}
          sx={{ flex: 1 }}
        />
        <IconButton aria-label={t("Close the guide")} size="small" onClick={() => onShow(null)}>
          <CloseIcon fontSize="small" />
        </IconButton>
      </Box>
      <Box ref={page} tabIndex={0} sx={{ flex: 1, overflow: "auto", px: 2.25, pt: 1.5, pb: "60vh", ...TYPE }}>
        {found ? (
          <Found words={words} sections={found.slice(0, MOST_FOUND)} more={found.length - MOST_FOUND} onShow={show} />
        ) : text === undefined ? (
          <Contents onShow={show} />
        ) : (
          <Chapter text={text} onShow={show} chapter={chapter} />
        )}
      </Box>
    </Paper>
  );
}

const TYPE = {
  fontSize: 14,
  lineHeight: 1.5,
  "& h2": { fontSize: 20, lineHeight: 1.25, mt: 0, mb: 1 },
  "& h3": { fontSize: 16, mt: 2.5, mb: 0.5, scrollMarginTop: 8 },
  "& h4": { fontSize: 14, mt: 2, mb: 0.5 },
  "& p, & ul, & ol": { my: 1 },
  "& ul, & ol": { pl: 2.5 },
  "& img": { width: "100%", height: "auto", border: 1, borderColor: "divider" },
  "& a": { color: "primary.main", textDecoration: "underline" },
  "& code": { fontFamily: "monospace", fontSize: 13, bgcolor: "action.hover", px: 0.4 },
  "& pre": { overflow: "auto", bgcolor: "action.hover", p: 1 },
  "& pre code": { bgcolor: "transparent", p: 0 },
  "& table": { borderCollapse: "collapse", my: 1, width: "100%" },
  "& th, & td": { border: 1, borderColor: "divider", px: 0.75, py: 0.5, textAlign: "left", verticalAlign: "top" },
} as const;

function Contents({ onShow }: { onShow: (place: string) => void }) {
  return (
    <>
      <Typography component="h2">{t("Guide")}</Typography>
      <ol>
        {CHAPTERS.map(([chapter, title]) => (
          <li key={chapter}>
            <Inside place={chapter} onShow={onShow}>
              {title}
            </Inside>
          </li>
        ))}
      </ol>
    </>
  );
}

function Found({
  sections: found,
  words,
  more,
  onShow,
}: {
  words: string;
  sections: { place: string; title: string; text: string }[];
  more: number;
  onShow: (place: string) => void;
}) {
  return (
    <>
      <Typography component="h2">{found.length === 0 ? t("Nothing found") : t("Found")}</Typography>
      {found.length === 0 && <p>{t("No section of the guide has all of these words. Try fewer, or other ones.")}</p>}
      {found.map(({ place, title, text }) => (
        <Box key={place} sx={{ my: 1.25 }}>
          <Inside place={place} onShow={onShow}>
            {title}
          </Inside>
          <Box sx={{ color: "text.secondary", fontSize: 13 }}>{excerpt(text, words)}</Box>
        </Box>
      ))}
      {more > 0 && <p>{rich(t("<1/> more: add a word to narrow the search."), { 1: more })}</p>}
    </>
  );
}

function Chapter({ text, chapter, onShow }: { text: string; chapter: string; onShow: (place: string) => void }) {
  return (
    <Markdown
      remarkPlugins={[remarkGfm]}
      rehypePlugins={[rehypeSlug]}
      components={{
        // The panel stands in a page that has a heading of the first rank.
        h1: ({ children }) => <h2>{children}</h2>,
        h2: ({ children, id }) => <h3 id={id}>{children}</h3>,
        h3: ({ children, id }) => <h4 id={id}>{children}</h4>,
        img: ({ src, alt }) => (
          // About as large as all of them are, so that nothing moves when they come.
          <img src={typeof src === "string" ? pictureOf(src) : undefined} alt={alt} width={1280} height={800} />
        ),
        a: ({ href, children }) => {
          const place = href && placeOf(href, chapter);
          return place ? (
            <Inside place={place} onShow={onShow}>
              {children}
            </Inside>
          ) : (
            <span>{children}</span>
          );
        },
      }}
    >
      {text}
    </Markdown>
  );
}

// "weave.md#overlap" → "weave.overlap"; nothing for what is not of the guide.
function placeOf(href: string, chapter: string): string | undefined {
  const found = /^(?:([\w-]+)\.md)?(?:#([\w-]+))?$/.exec(href);
  if (!found || href === "") return undefined;
  return [found[1] ?? chapter, found[2]].filter(Boolean).join(".");
}

function Inside({
  place,
  onShow,
  children,
}: {
  place: string;
  onShow: (place: string) => void;
  children: React.ReactNode;
}) {
  return (
    <a
      href={`?guide=${place}`}
      onClick={(event) => {
        event.preventDefault();
        onShow(place);
      }}
    >
      {children}
    </a>
  );
}
