import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import { useState, type ReactNode } from "react";
import type { LayerKind, MapSymbol, Pattern, Stroke } from "../api/types";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { Field } from "../fields/Field";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { layerKindTraits } from "../generated/kinds";
import { MarkerEditor } from "./MarkerEditor";
import { without } from "../fields/without";
import { limits } from "../generated/limits";
import { percentage } from "../fields/limits";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Keep = (symbol: MapSymbol) => Promise<unknown>;

const DASHES: { title: string; dash?: number[] }[] = [
  { title: t("solid") },
  { title: t("dashed"), dash: [2, 1] },
  { title: t("short dashes"), dash: [1, 0.6] },
  { title: t("dots"), dash: [0.2, 0.8] },
  { title: t("dash and dot"), dash: [2.2, 0.9, 0.4, 0.9] },
];
/** A symbol for paper: what an area is filled with, its lines, the mark of a point. Sizes are in mm. */
export function SymbolEditor({
  symbol,
  kind,
  name,
  onSave,
}: {
  symbol: MapSymbol;
  kind: LayerKind;
  name: string;
  onSave: Keep;
}) {
  const fill = filled(symbol.fill, defaults.fill);
  const strokes = symbol.strokes ?? [];
  const { fills, markers, strokes: stroked } = layerKindTraits[kind];
  const stroke = (index: number, patch: Partial<Stroke>) =>
    onSave({
      ...symbol,
      strokes: strokes.map((known, place) => (place === index ? clean({ ...known, ...patch }) : known)),
    });
  // A road's edges: a wider, darker line under the one that is there.
  const casing = () =>
    onSave({
      ...symbol,
      strokes: [
        {
          ...strokes[0],
          colour: "#4a4038",
          width_mm: round(filled(strokes[0], defaults.stroke).width_mm + 0.3),
          opacity: 1,
        },
        ...strokes,
      ],
    });
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 1.25 }}>
      {fills && symbol.fill && (
        <Part
          title={t("Area")}
          onRemove={() => onSave(without(symbol, "fill"))}
          removes={t("Remove the area colour of %{name}", { name })}
          colour={
            <Colour
              label={t("Area colour of %{name}", { name })}
              value={symbol.fill.colour}
              onSave={(colour) => onSave({ ...symbol, fill: { ...symbol.fill, colour } })}
            />
          }
        >
          <Measured
            label={t("Opacity, %")}
            value={Math.round(fill.opacity * 100)}
            limits={percentage}
            onSave={(percent) => onSave({ ...symbol, fill: { ...symbol.fill!, opacity: percent / 100 } })}
          />
        </Part>
      )}
      {fills && symbol.pattern && (
        <PatternPart
          pattern={symbol.pattern}
          name={name}
          onSave={(pattern) => onSave({ ...symbol, pattern })}
          onRemove={() => onSave(without(symbol, "pattern"))}
        />
      )}
      {stroked &&
        strokes.map((known, index) => (
          <StrokePart
            key={index}
            stroke={known}
            title={
              strokes.length > 1
                ? t("Line %{value}%{value2}", { value: index + 1, value2: index === 0 ? t(", lowest") : "" })
                : t("Line")
            }
            name={`line ${index + 1} of ${name}`}
            onChange={(patch) => stroke(index, patch)}
            onRemove={() => onSave({ ...symbol, strokes: strokes.filter((_, place) => place !== index) })}
          />
        ))}
      <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 0.5 }}>
        {fills && !symbol.fill && (
          <Add
            title={t("Area colour")}
            onAdd={() => onSave({ ...symbol, fill: { colour: "#c9d6b0", opacity: 0.5 } })}
          />
        )}
        {fills && !symbol.pattern && (
          <Add
            title={t("Pattern")}
            onAdd={() =>
              onSave({
                ...symbol,
                pattern: {
                  kind: "lines",
                  spacing_mm: 2,
                  width_mm: 0.15,
                  angle_deg: -45,
                  colour: strokes[strokes.length - 1]?.colour ?? symbol.fill?.colour ?? "#3d6b35",
                },
              })
            }
          />
        )}
        {stroked && (
          <Add
            title={t("Line on top")}
            onAdd={() => onSave({ ...symbol, strokes: [...strokes, { colour: "#1f2a30", width_mm: 0.2 }] })}
          />
        )}
        {stroked && strokes.length > 0 && <Add title={t("Casing")} onAdd={casing} />}
        {markers && !symbol.marker && (
          <Add
            title={t("Marker")}
            onAdd={() => onSave({ ...symbol, marker: { shape: "circle", size_mm: 1.6, colour: "#3d6b35" } })}
          />
        )}
      </Box>
      {symbol.marker && (
        <MarkerEditor marker={symbol.marker} name={name} onSave={(marker) => onSave({ ...symbol, marker })} />
      )}
    </Box>
  );
}

function StrokePart({
  stroke,
  title,
  name,
  onChange,
  onRemove,
}: {
  stroke: Stroke;
  title: string;
  name: string;
  onChange: (patch: Partial<Stroke>) => Promise<unknown>;
  onRemove: () => Promise<unknown>;
}) {
  const drawn = filled(stroke, defaults.stroke);
  const [more, setMore] = useState(false);
  return (
    <Part
      title={title}
      onRemove={onRemove}
      removes={t("Remove %{name}", { name })}
      more={more}
      onMore={() => setMore(!more)}
      about={name}
      colour={
        <Colour
          label={t("Colour of %{name}", { name })}
          value={drawn.colour}
          onSave={(colour) => onChange({ colour })}
        />
      }
    >
      <NumberOf label={t("Width, mm")} part="stroke" of="width_mm" given={drawn} onSave={onChange} />
      <Choice
        label={t("Dash")}
        value={dashTitle(stroke)}
        choices={[...DASHES.map((dash) => dash.title), ...(dashTitle(stroke) === "own" ? ["own"] : [])].map(
          (dash) => [dash, dash] as const,
        )}
        onChoose={(dash) => onChange({ dash_mm: DASHES.find((known) => known.title === dash)?.dash })}
      />
      {more && (
        <>
          <Choice
            label={t("Ends")}
            value={drawn.cap}
            choices={choices.stroke.cap}
            onChoose={(cap) => onChange({ cap })}
          />
          <Choice
            label={t("Corners")}
            value={drawn.join}
            choices={choices.stroke.join}
            onChoose={(join) => onChange({ join })}
          />
          <Measured
            label={t("Opacity, %")}
            value={Math.round(drawn.opacity * 100)}
            limits={percentage}
            onSave={(percent) => onChange({ opacity: percent / 100 })}
          />
          <Box sx={{ gridColumn: "1 / -1" }}>
            <Field
              label={t("Dashes and gaps, mm")}
              value={(stroke.dash_mm ?? []).join(" ")}
              onSave={(text) => onChange({ dash_mm: readDash(text) })}
            />
          </Box>
        </>
      )}
    </Part>
  );
}

function PatternPart({
  pattern,
  name,
  onSave,
  onRemove,
}: {
  pattern: Pattern;
  name: string;
  onSave: (pattern: Pattern) => Promise<unknown>;
  onRemove: () => Promise<unknown>;
}) {
  const shown = filled(pattern, defaults.symbol_pattern);
  return (
    <Part
      title={t("Pattern")}
      onRemove={onRemove}
      removes={t("Remove the pattern of %{name}", { name })}
      colour={
        <Colour
          label={t("Pattern colour of %{name}", { name })}
          value={shown.colour}
          onSave={(colour) => onSave({ ...pattern, colour })}
        />
      }
    >
      <Choice
        label={t("Of")}
        value={pattern.kind}
        choices={choices.symbol_pattern.kind}
        onChoose={(kind) => onSave({ ...pattern, kind })}
      />
      <Measured
        label={t("Apart, mm")}
        value={shown.spacing_mm}
        limits={limits.symbol_pattern.spacing_mm}
        onSave={(spacing_mm) => onSave({ ...pattern, spacing_mm })}
      />
      <Measured
        label={t("Width, mm")}
        value={shown.width_mm}
        limits={limits.symbol_pattern.width_mm}
        onSave={(width_mm) => onSave({ ...pattern, width_mm })}
      />
      <Measured
        label={t("Rotation, ° clockwise")}
        value={shown.angle_deg}
        limits={limits.symbol_pattern.angle_deg}
        onSave={(angle_deg) => onSave({ ...pattern, angle_deg })}
      />
    </Part>
  );
}

/** A part of a symbol: its colour, and its fields two by two. */
export function Part({
  title,
  colour,
  children,
  onRemove,
  removes,
  more,
  onMore,
  about,
}: {
  title: string;
  colour: ReactNode;
  children: ReactNode;
  onRemove?: () => Promise<unknown>;
  removes?: string;
  more?: boolean;
  onMore?: () => void;
  about?: string;
}) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr auto auto", alignItems: "center" }}>
      <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>{title}</Box>
      {onMore ? (
        <Button
          onClick={onMore}
          aria-expanded={more}
          aria-label={t("%{value} of %{about}", { value: more ? "Less" : "More", about })}
          sx={{ minWidth: 0, py: 0, fontSize: 12.5 }}
        >
          {more ? t("less") : t("more")}
        </Button>
      ) : (
        <span />
      )}
      {onRemove ? (
        <IconButton size="small" aria-label={removes} onClick={() => void onRemove()}>
          <RemoveIcon sx={{ fontSize: 16 }} />
        </IconButton>
      ) : (
        <span />
      )}
      <Box sx={{ gridColumn: "1 / -1" }}>
        <ColourBeside colour={colour}>{children}</ColourBeside>
      </Box>
    </Box>
  );
}

function Add({ title, onAdd }: { title: string; onAdd: () => Promise<unknown> }) {
  return (
    <Button startIcon={<AddIcon />} onClick={() => void onAdd()} sx={{ px: 0.5 }}>
      {title}
    </Button>
  );
}

const dashTitle = (stroke: Stroke) =>
  DASHES.find((dash) => JSON.stringify(dash.dash) === JSON.stringify(stroke.dash_mm))?.title ?? "own";

function readDash(text: string): number[] | undefined {
  const parts = text
    .trim()
    .split(/[\s;]+/)
    .filter((part) => part !== "")
    .map((part) => Number(part.replace(",", ".")));
  if (parts.some((part) => !Number.isFinite(part) || part <= 0))
    throw new Error(t("Enter lengths separated by spaces, such as 2 1."));
  return parts.length ? parts : undefined;
}

const round = (number: number) => Math.round(number * 1000) / 1000;

const clean = (stroke: Stroke): Stroke =>
  Object.fromEntries(Object.entries(stroke).filter(([, value]) => value !== undefined));
