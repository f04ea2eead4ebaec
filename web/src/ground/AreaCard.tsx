import BackIcon from "@mui/icons-material/ArrowBack";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, Checkbox, IconButton, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useBook, useChange } from "../api/book";
import { post, Refusal } from "../api/client";
import type { AreaPart, Layer } from "../api/types";
import { area as areaWords, count, groundSize } from "../api/words";
import { Card } from "../frame/Card";
import { Field } from "../fields/Field";
import type { Draw } from "../map/useDraw";
import { areaOf, partsOf } from "../api/area";
import type { Ring } from "./ArrivalCard";
import { ConditionEditor } from "../fields/ConditionEditor";
import { useAttributes, type Attribute } from "../api/useAttributes";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const NONE: Attribute[] = [];

/** What the index must cover: layers, the part of a layer that meets a condition, selected features, drawn shapes. */
export function AreaCard({
  drawing,
  onDraw,
  onRings,
  onBack,
}: {
  drawing: Draw | null;
  onDraw: (draw: Draw | null) => void;
  onRings: (rings: Ring[]) => void;
  onBack: () => void;
}) {
  const book = useBook();
  const shown = filled(book.document.index, defaults.index);
  const { change } = useChange();
  const [problem, setProblem] = useState<string | null>(null);
  const parts = partsOf(book.document.index.area);
  const keep = async (fresh: AreaPart[]) => {
    setProblem(null);
    if (fresh.length === 0) return setProblem(t("The study area needs at least one part."));
    await change("Study area", { index: { area: areaOf(fresh) } }).catch((error: Error) => setProblem(error.message));
  };
  const toggle = (layer: Layer) =>
    keep(
      parts.some((part) => part.layer === layer.id)
        ? parts.filter((part) => part.layer !== layer.id)
        : [...parts, { layer: layer.id }],
    );
  const replace = (index: number, part: AreaPart) =>
    change("Study area", { index: { area: areaOf(parts.map((known, place) => (place === index ? part : known))) } });
  const drawn = parts.map((part, index) => ({ part, index })).filter(({ part }) => part.polygon);
  return (
    <Card help="area" title={t("Study area")} note={t("what the index covers")}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        {t("All layers")}
      </Button>
      <AreaSize onRings={onRings} />
      <Field label={t("Buffer")} value={shown.buffer} onSave={(buffer) => change("Buffer", { index: { buffer } })} />
      <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700, mt: 2 }}>
        {t("Layers")}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {[...book.document.layers]
          .reverse()
          .filter((layer) => !layer.raster)
          .map((layer) => {
            const index = parts.findIndex((part) => part.layer === layer.id);
            const part = parts[index];
            return (
              <Box component="li" key={layer.id} sx={{ borderBottom: 1, borderColor: "divider" }}>
                <Box
                  component="label"
                  sx={{ display: "flex", alignItems: "center", gap: 0.5, fontSize: 14, cursor: "pointer" }}
                >
                  <Checkbox size="small" sx={{ p: 0.5 }} checked={!!part} onChange={() => void toggle(layer)} />
                  {layer.title}
                  {part?.features && (
                    <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>
                      {count(part.features.length, "selected feature")}
                    </Box>
                  )}
                </Box>
                {part?.features && (
                  <Button
                    onClick={() => void keep(parts.map((known) => (known === part ? { layer: layer.id } : known)))}
                  >
                    {t("Use all of its features")}
                  </Button>
                )}
                {part && !part.features && (
                  <PartFilter layer={layer} part={part} onSave={(fresh) => replace(index, fresh)} />
                )}
              </Box>
            );
          })}
      </Box>
      <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700, mt: 2 }}>
        {t("Drawn by hand")}
      </Typography>
      {drawn.map(({ part, index }, place) => (
        <Box
          key={index}
          sx={{ display: "flex", alignItems: "center", fontSize: 14, borderBottom: 1, borderColor: "divider" }}
        >
          <Box sx={{ flex: 1 }}>{rich(t("Shape <1/>, <2/> corners"), { 1: place + 1, 2: part.polygon!.length })}</Box>
          <IconButton
            size="small"
            aria-label={t("Remove shape %{value}", { value: place + 1 })}
            onClick={() => void keep(parts.filter((_, known) => known !== index))}
          >
            <RemoveIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      {drawing ? (
        <Box role="status" sx={{ fontSize: 13, my: 0.5 }}>
          {drawing === "rectangle"
            ? t("Click two opposite corners on the map.")
            : t("Click each corner; double-click the last.")}{" "}
          <Button onClick={() => onDraw(null)}>{t("Stop")}</Button>
        </Box>
      ) : (
        <Box sx={{ display: "flex", gap: 0.5, mt: 0.5 }}>
          <Button variant="outlined" onClick={() => onDraw("rectangle")}>
            {t("Draw a rectangle")}
          </Button>
          <Button variant="outlined" onClick={() => onDraw("polygon")}>
            {t("a polygon")}
          </Button>
        </Box>
      )}
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mt: 1 }}>
          {problem}
        </Typography>
      )}
      <Typography sx={{ fontSize: 12.5, color: "text.secondary", mt: 1.5 }}>
        {t(
          "Selected features: open a layer’s attributes, select rows or click features on the map, and take them as the study area there.",
        )}
      </Typography>
    </Card>
  );
}

// Only the features of the layer that meet a condition.
function PartFilter({
  layer,
  part,
  onSave,
}: {
  layer: Layer;
  part: AreaPart;
  onSave: (part: AreaPart) => Promise<unknown>;
}) {
  const [open, setOpen] = useState(!!part.when);
  const attributes = useAttributes(layer.id).data ?? NONE;
  if (!open)
    return attributes.length ? (
      <Button
        onClick={() => setOpen(true)}
        sx={{ ml: 3.5, py: 0 }}
        aria-label={t("only part of it: %{title}", { title: layer.title })}
      >
        {t("only part of it")}
      </Button>
    ) : null;
  return (
    <Box sx={{ pl: 4, pb: 1 }}>
      <ConditionEditor
        about={t("the part of %{title}", { title: layer.title })}
        attributes={attributes}
        condition={part.when}
        onSave={(when) => onSave({ layer: layer.id, ...(when && { when }) })}
      />
    </Box>
  );
}

// Its area on the ground and its extent; its outline goes to the map.
function AreaSize({ onRings }: { onRings: (rings: Ring[]) => void }) {
  const book = useBook();
  const measured = useQuery<
    { rings: Ring[]; ground_m2: number; size_m: [number, number]; box: [number, number, number, number] },
    Refusal
  >({
    queryKey: ["area", book.id, book.revision],
    queryFn: ({ signal }) => post(`/api/books/${book.id}/area`, {}, { signal }),
    retry: false,
  });
  const rings = measured.data?.rings;
  useEffect(() => {
    onRings(rings ?? []);
    return () => onRings([]);
  }, [rings, onRings]);
  const box = measured.data?.box;
  return (
    <Box role="status" sx={{ fontSize: 14, mb: 1.5 }}>
      {measured.error ? (
        measured.error.message
      ) : box ? (
        <>
          {rich(t("<1/><2/> across, buffer included."), {
            1:
              measured.data!.ground_m2 > 0 ? (
                <>{rich(t("<1/> on the ground,"), { 1: <b>{areaWords(measured.data!.ground_m2)}</b> })} </>
              ) : null,
            2: groundSize(...measured.data!.size_m),
          })}
        </>
      ) : (
        "…"
      )}
    </Box>
  );
}
