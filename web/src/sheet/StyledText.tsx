import BoldIcon from "@mui/icons-material/FormatBold";
import ItalicIcon from "@mui/icons-material/FormatItalic";
import ListIcon from "@mui/icons-material/FormatListBulleted";
import NumbersIcon from "@mui/icons-material/FormatListNumbered";
import UnderlineIcon from "@mui/icons-material/FormatUnderlined";
import StruckIcon from "@mui/icons-material/StrikethroughS";
import SubscriptIcon from "@mui/icons-material/Subscript";
import SuperscriptIcon from "@mui/icons-material/Superscript";
import { Box, IconButton, TextField } from "@mui/material";
import { useRef, useState } from "react";
import { Colour } from "../fields/Colour";
import { useTyped } from "../fields/useTyped";
import { t } from "../texts/t";

interface StyledTextProps {
  label: string;
  value: string;
  // Has it tags for its looks?
  tagged: boolean;
  onSave: (text: string) => Promise<unknown>;
}

const TAGS = [
  ["b", "Bold", BoldIcon],
  ["i", "Italic", ItalicIcon],
  ["u", "Underlined", UnderlineIcon],
  ["s", t("Struck through"), StruckIcon],
  ["sup", "Superscript", SuperscriptIcon],
  ["sub", "Subscript", SubscriptIcon],
] as const;
const LISTS = [
  ["ul", "List", ListIcon],
  ["ol", t("Numbered list"), NumbersIcon],
] as const;

const SIZES = [6, 7, 8, 9, 10, 12, 14, 18, 24, 36];

/** A text with buttons that give the selected part of it a look. It is saved when it is left, or with Ctrl+Enter. */
export function StyledText({ label, value, tagged, onSave }: StyledTextProps) {
  const { text, setText, setSent, setFocused } = useTyped(value);
  const [problem, setProblem] = useState<string | null>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const keep = async (fresh: string) => {
    setText(fresh);
    if (fresh === value) return setProblem(null);
    try {
      setSent(fresh);
      await onSave(fresh);
      setProblem(null);
    } catch (error) {
      setSent(null);
      setProblem((error as Error).message);
    }
  };
  const wrap = (open: string, close: string) => {
    const area = field.current!;
    const [from, to] = [area.selectionStart, area.selectionEnd];
    if (from === to) return setProblem(t("Select some text first, then choose a style."));
    void keep(`${text.slice(0, from)}${open}${text.slice(from, to)}${close}${text.slice(to)}`);
  };
  // Lines that the selection touches become items.
  const list = (kind: "ul" | "ol") => {
    const area = field.current!;
    const from = text.lastIndexOf("\n", area.selectionStart - 1) + 1;
    const end = text.indexOf("\n", area.selectionEnd);
    const to = end < 0 ? text.length : end;
    const items = text
      .slice(from, to)
      .split("\n")
      .map((line) => `<li>${line}</li>`)
      .join("\n");
    void keep(`${text.slice(0, from)}<${kind}>\n${items}\n</${kind}>${text.slice(to)}`);
  };
  // A press on a button leaves the selection where it is.
  const stay = (event: { preventDefault: () => void }) => event.preventDefault();
  return (
    <Box>
      {tagged && (
        <Box
          role="toolbar"
          aria-label={t("Styles of the selected words")}
          sx={{ display: "flex", flexWrap: "wrap", gap: 0.25, mb: 0.5 }}
        >
          {TAGS.map(([tag, title, Icon]) => (
            <IconButton
              key={tag}
              size="small"
              aria-label={title}
              title={title}
              onMouseDown={stay}
              onClick={() => wrap(`<${tag}>`, `</${tag}>`)}
            >
              <Icon sx={{ fontSize: 18 }} />
            </IconButton>
          ))}
          {LISTS.map(([tag, title, Icon]) => (
            <IconButton
              key={tag}
              size="small"
              aria-label={title}
              title={title}
              onMouseDown={stay}
              onClick={() => list(tag)}
            >
              <Icon sx={{ fontSize: 18 }} />
            </IconButton>
          ))}
          <select
            aria-label={t("Size of the selected words")}
            value=""
            onChange={(event) => wrap(`<span style="font-size: ${event.target.value}pt">`, "</span>")}
            style={{ font: "inherit", border: "1px solid #8887", background: "none", color: "inherit", height: 28 }}
          >
            <option value="">{t("pt")}</option>
            {SIZES.map((size) => (
              <option key={size} value={size}>
                {size}
              </option>
            ))}
          </select>
          <Colour
            label={t("Colour of the selected words")}
            value="#1f2a30"
            onSave={async (colour) => wrap(`<span style="color: ${colour}">`, "</span>")}
          />
        </Box>
      )}
      <TextField
        fullWidth
        multiline
        maxRows={10}
        margin="dense"
        label={label}
        value={text}
        error={!!problem}
        helperText={problem}
        inputRef={field}
        onChange={(event) => setText(event.target.value)}
        onFocus={() => setFocused(true)}
        onBlur={() => {
          setFocused(false);
          void keep(text);
        }}
        onKeyDown={(event) => {
          if (event.key === "Enter" && (event.ctrlKey || event.metaKey || (!tagged && !event.shiftKey))) {
            event.preventDefault();
            void keep(text);
          }
          if (event.key === "Escape") {
            setText(value);
            setProblem(null);
          }
        }}
        slotProps={{ formHelperText: { role: "alert" } }}
      />
    </Box>
  );
}
