import { Box, Button, Menu, MenuItem } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useChange } from "../api/book";
import { get, post, upload } from "../api/client";
import type { ScaleBarElement } from "../api/types";
import { Heading } from "../frame/Card";
import { Field } from "../fields/Field";
import type { Keep } from "./scaleBar";
import { LookFields } from "./ScaleBarLook";
import { MeasureFields } from "./ScaleBarMeasure";
import { MarkFields, UnitFields } from "./ScaleBarUnits";
import { ElementSummary } from "./ElementSummary";
import { FileInput } from "../fields/FileInput";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** A scale bar: what it counts, how it is marked and drawn; what it comes to is told above. */
export function ScaleBarFields({ element, onSave }: { element: ScaleBarElement; onSave: Keep }) {
  return (
    <>
      <Heading text={t("Scale bar")} />
      <ElementSummary id={element.id} />
      <UnitFields element={element} onSave={onSave} />
      <MarkFields element={element} onSave={onSave} />
      <Heading text={t("Appearance")} />
      <LookFields element={element} onSave={onSave} />
      <Styles element={element} />
      <Heading text={t("Measure")} />
      <MeasureFields element={element} onSave={onSave} />
    </>
  );
}

// Styles that are saved under names, for any book; as files; on all bars of the book.
function Styles({ element }: { element: ScaleBarElement }) {
  const client = useQueryClient();
  const { ask } = useChange();
  const kept = useQuery({
    queryKey: ["bar-styles"],
    queryFn: ({ signal }) => get<{ id: number; name: string }[]>("/api/bar-styles", signal),
  });
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const settle = (work: Promise<unknown>) => {
    setAnchor(null);
    void work
      .then(() => {
        setProblem(null);
        return client.invalidateQueries({ queryKey: ["bar-styles"] });
      })
      .catch((error: Error) => setProblem(error.message));
  };
  const styles = kept.data ?? [];
  return (
    <Box sx={{ mt: 1 }}>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)} sx={{ px: 0.5 }}>
        {t("Saved styles")}
      </Button>
      <Button onClick={() => settle(ask("bar-style", { element: element.id }))} sx={{ px: 0.5 }}>
        {t("This style on all bars")}
      </Button>
      <Field
        label={t("Save this style as")}
        value=""
        placeholder={t("a name")}
        onSave={async (name) => {
          await post("/api/bar-styles", { name, style: element });
          await client.invalidateQueries({ queryKey: ["bar-styles"] });
        }}
      />
      {problem && (
        <Box role="alert" sx={{ fontSize: 13, color: "error.main" }}>
          {problem}
        </Box>
      )}
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{
          list: { dense: true, "aria-label": t("Saved styles") },
          paper: { role: "dialog", "aria-label": t("Styles of scale bars") },
        }}
      >
        {styles.length === 0 && <MenuItem disabled>{t("No style is saved yet")}</MenuItem>}
        {styles.map((style) => (
          <MenuItem key={style.id} onClick={() => settle(ask("bar-style", { style_id: style.id, only: element.id }))}>
            {style.name}
          </MenuItem>
        ))}
        {styles.map((style) => (
          <MenuItem key={`all ${style.id}`} onClick={() => settle(ask("bar-style", { style_id: style.id }))}>
            {rich(t("<1/>, on all bars"), { 1: style.name })}
          </MenuItem>
        ))}
        {styles.map((style) => (
          <MenuItem
            key={`file ${style.id}`}
            component="a"
            href={`/api/bar-styles/${style.id}/file`}
            onClick={() => setAnchor(null)}
          >
            {rich(t("Export <1/>"), { 1: style.name })}
          </MenuItem>
        ))}
        {styles.map((style) => (
          <MenuItem
            key={`away ${style.id}`}
            onClick={() => settle(post(`/api/bar-styles/${style.id}`, undefined, { method: "DELETE" }))}
          >
            {rich(t("Delete <1/>"), { 1: style.name })}
          </MenuItem>
        ))}
        <MenuItem onClick={() => file.current?.click()}>{t("Import a style …")}</MenuItem>
      </Menu>
      <FileInput
        ref={file}
        label={t("Style of scale bars from a file")}
        accept=".json,application/json"
        onFiles={([chosenFile]) => chosenFile && settle(upload("/api/bar-styles/file", chosenFile))}
      />
    </Box>
  );
}
