import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import type { ElementOf, TabStop } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { whole } from "./kinds";
import { limits } from "../generated/limits";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Text = ElementOf<"text">;

/** Gaps and indents of a text's paragraphs, its columns and its tabs. */
export function ParagraphFields({
  element,
  onSave,
}: {
  element: Text;
  onSave: (patch: Partial<Text>) => Promise<unknown>;
}) {
  const shown = whole(element);
  const tabs = element.tabs ?? [];
  const put = (list: TabStop[]) => onSave({ tabs: list.length === 0 ? undefined : list });
  const change = (index: number, patch: Partial<TabStop>) =>
    put(tabs.map((tab, place) => (place === index ? { ...tab, ...patch } : tab)));
  return (
    <>
      <Pair>
        <NumberOf
          label={t("Between paragraphs, mm")}
          part="text_element"
          of="paragraph_gap_mm"
          given={shown}
          onSave={onSave}
        />
        <NumberOf label={t("First line, mm")} part="text_element" of="first_indent_mm" given={shown} onSave={onSave} />
        <NumberOf label={t("Left, mm")} part="text_element" of="indent_mm" given={shown} onSave={onSave} />
        <NumberOf label={t("Right, mm")} part="text_element" of="right_indent_mm" given={shown} onSave={onSave} />
        <NumberOf label={t("Columns")} part="text_element" of="columns" given={shown} onSave={onSave} />
        <NumberOf label={t("Column gap, mm")} part="text_element" of="column_gap_mm" given={shown} onSave={onSave} />
      </Pair>
      <Flag
        label={t("Hyphenated, in the book’s language")}
        value={shown.hyphenate}
        onSave={(hyphenate) => onSave({ hyphenate: hyphenate || undefined })}
      />
      <Box component="ol" aria-label={t("Tab stops")} sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gap: 0.5 }}>
        {tabs.map((tab, index) => {
          const stop = filled(tab, defaults.tab_stop);
          return (
            <Box component="li" key={index} sx={{ display: "flex", gap: 0.75, alignItems: "flex-end" }}>
              <Measured
                label={t("Tab at, mm")}
                value={tab.at_mm}
                limits={limits.tab_stop.at_mm}
                onSave={(at_mm) => change(index, { at_mm })}
              />
              <Choice
                label={t("Aligned")}
                value={stop.align}
                choices={choices.tab_stop.align}
                onChoose={(align) => change(index, { align })}
              />
              <Field
                label={t("Leader")}
                value={stop.leader}
                onSave={(leader) => change(index, { leader: leader.trim() || undefined })}
              />
              <IconButton
                size="small"
                aria-label={t("Remove the tab at %{at_mm} mm", { at_mm: tab.at_mm })}
                onClick={() => void put(tabs.filter((_, place) => place !== index)).catch(toldElsewhere)}
              >
                <RemoveIcon sx={{ fontSize: 16 }} />
              </IconButton>
            </Box>
          );
        })}
      </Box>
      <Button
        startIcon={<AddIcon />}
        onClick={() => void put([...tabs, { at_mm: (tabs[tabs.length - 1]?.at_mm ?? 0) + 20 }]).catch(toldElsewhere)}
      >
        {t("Tab stop")}
      </Button>
    </>
  );
}
