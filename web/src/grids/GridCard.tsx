import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, Checkbox, FormControlLabel, Slider } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { Grid, GridLabels, GriddedElement, GridWords } from "../api/types";
import { gridLooks } from "../generated/kinds";
import { Card, Heading } from "../frame/Card";
import { Field } from "../fields/Field";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { Measured } from "../fields/Measured";
import { ReferenceField } from "../fields/ReferenceField";
import { GridTold } from "./GridList";
import { GridLabelFields } from "./GridLabelFields";
import { useTrial } from "./useGrids";
import { ColourBeside } from "../fields/ColourBeside";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";

interface GridCardProps {
  frame: GriddedElement;
  grid: Grid;
  words: GridWords | undefined;
  sheet: number;
  onKeep: (label: string, grids: Grid[]) => Promise<unknown>;
  // Lines that are being tried, over the page.
  onGhost: (svg: string | null) => void;
  onBack: () => void;
}

const NARROWEST = 5,
  WIDEST = 200;
const REST_MS = 450;

// One coordinate grid: it is set with the map in view, and what is being tried shows as ghost lines.
export function GridCard({ frame, grid, words, sheet, onKeep, onGhost, onBack }: GridCardProps) {
  const shown = filled(grid, defaults.grid);
  const book = useBook();
  const { ask } = useChange();
  const [draft, setDraft] = useState<Grid | null>(null);
  const [question, setQuestion] = useState<Grid | null>(null);
  const trial = useTrial(sheet, draft);
  const svg = trial?.data?.svg ?? null;
  useEffect(() => {
    onGhost(draft ? svg : null);
  }, [draft, svg, onGhost]);
  useEffect(() => () => onGhost(null), [onGhost]);
  const grids = frame.grids ?? [];
  const name = grid.title ?? grid.id;
  const put = (fresh: Grid) => {
    setDraft(null);
    return onKeep(
      name,
      grids.map((known) => (known.id === grid.id ? fresh : known)),
    );
  };
  const keep = (patch: Partial<Grid>) => put({ ...grid, ...patch });
  // Keys move it by many small steps: it is kept when it rests.
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const settle = (target_mm: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void latest.current({ target_mm }).catch(() => undefined), REST_MS);
  };
  const latest = useRef(keep);
  useEffect(() => {
    latest.current = keep;
  });
  useEffect(() => () => clearTimeout(timer.current), []);
  const told = draft && trial?.data ? trial.data : words;
  const angles = words?.angles ?? grid.crs === "geographic";
  const fixed = !!grid.interval;
  const key = book.document.index_layout;
  const other = sheet === 0 ? "the sheets" : key ? "the index sheet" : null;
  return (
    <Card title={name} note="coordinate grid">
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 0.5 }}>
        The frame
      </Button>
      <Box aria-live="polite" role="status" sx={{ mb: 1 }}>
        {trial?.isError ? (
          <Box role="alert" sx={{ fontSize: 13, color: "error.main" }}>
            {trial.error.message}
          </Box>
        ) : (
          told && <GridTold sentence={told.sentence} warnings={told.warnings} />
        )}
      </Box>
      <Field label="Name" value={name} onKeep={(title) => keep({ title: title.trim() || undefined })} />
      <Reference
        grid={grid}
        onChoose={async (reference) => {
          if (reference === grid.crs) return;
          const fresh = { ...grid, crs: reference };
          if (!fixed) return keep({ crs: reference });
          // Intervals keep their unit: where the reference counts otherwise, that is asked and not guessed.
          try {
            await post(`/api/books/${book.id}/sheets/${sheet}/grids/try`, { grid: fresh });
          } catch {
            return setQuestion(fresh);
          }
          return keep({ crs: reference });
        }}
      />
      {question && (
        <Question
          grid={question}
          sheet={sheet}
          was={grid}
          pitch={words?.pitch_mm?.[0]}
          onKeep={(fresh) => {
            setQuestion(null);
            void put(fresh).catch(() => undefined);
          }}
          onDrop={() => setQuestion(null)}
        />
      )}

      <Heading text="Interval" />
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: fixed ? "minmax(0, 1fr) minmax(0, 1fr)" : "minmax(0, 2fr) minmax(0, 3fr)",
          gap: 1,
          alignItems: "end",
        }}
      >
        <Choice
          label="Interval"
          value={fixed ? "fixed" : "auto"}
          choices={[
            ["auto", "automatic"],
            ["fixed", "fixed"],
          ]}
          onChoose={(kind) => keep({ interval: kind === "fixed" ? words?.interval : undefined })}
        />
        {!fixed && (
          <Choice
            label="One interval for"
            value={shown.fitted}
            choices={[
              ["sheet", "each sheet’s scale"],
              ["book", "the whole book"],
            ]}
            onChoose={(fitted) => keep({ fitted })}
          />
        )}
        {fixed && <Box />}
        {fixed &&
          (["x", "y"] as const).map((axis) => (
            <Tried
              key={axis}
              label={axis === "x" ? (angles ? "Longitude" : "East") : angles ? "Latitude" : "North"}
              value={grid.interval?.[axis] ?? ""}
              placeholder="automatic"
              onTry={(text) =>
                setDraft(
                  text === null ? null : { ...grid, interval: { ...grid.interval, [axis]: text.trim() || undefined } },
                )
              }
              onKeep={(text) => keep({ interval: { ...grid.interval, [axis]: text.trim() || undefined } })}
            />
          ))}
        {fixed &&
          (["x", "y"] as const).map((axis) => (
            <Tried
              key={axis}
              label={`Origin, ${axis === "x" ? (angles ? "longitude" : "easting") : angles ? "latitude" : "northing"}`}
              value={grid.origin?.[axis] ?? ""}
              placeholder={angles ? "0 deg" : "0 m"}
              onTry={(text) =>
                setDraft(
                  text === null ? null : { ...grid, origin: { ...grid.origin, [axis]: text.trim() || undefined } },
                )
              }
              onKeep={(text) => keep({ origin: { ...grid.origin, [axis]: text.trim() || undefined } })}
            />
          ))}
      </Box>
      {!fixed && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, pl: 1, mt: 1 }}>
          <Slider
            aria-label="Target spacing, mm"
            size="small"
            min={NARROWEST}
            max={WIDEST}
            value={draft?.target_mm ?? shown.target_mm}
            valueLabelDisplay="off"
            onChange={(_, value) => setDraft({ ...grid, target_mm: value })}
            onChangeCommitted={(_, value) => settle(value)}
          />
          <Box sx={{ fontSize: 13, whiteSpace: "nowrap", minWidth: 86 }}>
            about {draft?.target_mm ?? shown.target_mm} mm
          </Box>
        </Box>
      )}

      <Heading text="Look" />
      <Look grid={grid} keep={keep} />

      <Heading text="Labels" />
      <GridLabelFields
        labels={grid.labels}
        angles={angles}
        onKeep={(labels: GridLabels | undefined) => keep({ labels })}
      />
      {words?.lettered && (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={!!grid.squares}
              onChange={(event) =>
                void keep({ squares: event.target.checked ? { size_pt: 12 } : undefined }).catch(() => undefined)
              }
            />
          }
          label="letters of the 100 km squares"
        />
      )}

      <Heading text="Grid" />
      <Choice
        label="Drawn on"
        value={shown.drawn_on}
        choices={[
          ["all", "all sheets"],
          ["unrotated", "sheets without rotation"],
          ["rotated", "rotated sheets, as in a strip"],
        ]}
        onChoose={(drawn_on) => keep({ drawn_on: drawn_on === "all" ? undefined : drawn_on })}
      />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 1 }}>
        <Button onClick={() => void keep({ hidden: grid.hidden ? undefined : true }).catch(() => undefined)}>
          {grid.hidden ? "Show" : "Hide"}
        </Button>
        {other && (
          <Button onClick={() => void ask(`sheets/${sheet}/grids/copy`, { id: grid.id }).catch(() => undefined)}>
            Copy to {other}
          </Button>
        )}
        <Button
          color="error"
          onClick={() => {
            onBack();
            void onKeep(
              `Remove ${name}`,
              grids.filter((known) => known.id !== grid.id),
            ).catch(() => undefined);
          }}
        >
          Remove
        </Button>
      </Box>
    </Card>
  );
}

// "2nd", "5th", "11th"
const ordinal = (n: number) => {
  const teens = n % 100 > 10 && n % 100 < 14;
  return `${n}${teens ? "th" : (["th", "st", "nd", "rd"][n % 10] ?? "th")}`;
};

// A field whose text is tried while it is typed.
function Tried({
  label,
  value,
  placeholder,
  onTry,
  onKeep,
}: {
  label: string;
  value: string;
  placeholder?: string;
  onTry: (text: string | null) => void;
  onKeep: (text: string) => Promise<unknown>;
}) {
  return (
    <Box
      onInput={(event) => onTry((event.target as HTMLInputElement).value)}
      onBlur={() => onTry(null)}
      onKeyDown={(event) => {
        if (event.key === "Escape") onTry(null);
      }}
    >
      <Field label={label} value={value} placeholder={placeholder} onKeep={onKeep} />
    </Box>
  );
}

const KNOWN: readonly (readonly [string, string])[] = [
  ["book", "the book’s CRS"],
  ["geographic", "longitude and latitude"],
  ["utm", "UTM, by zone"],
  ["other", "another"],
];

function Reference({ grid, onChoose }: { grid: Grid; onChoose: (reference: string) => Promise<unknown> }) {
  const named = KNOWN.some(([known]) => known === grid.crs);
  const [other, setOther] = useState(!named);
  const [text, setText] = useState(named ? "" : grid.crs);
  const [problem, setProblem] = useState<string | null>(null);
  const choose = (reference: string) => {
    setProblem(null);
    void onChoose(reference).catch((error: Error) => setProblem(error.message));
  };
  return (
    <Box sx={{ mt: 1, display: "grid", gap: 1 }}>
      <Choice
        label="CRS"
        value={other ? "other" : grid.crs}
        choices={KNOWN}
        onChoose={async (known) => {
          setOther(known === "other");
          if (known !== "other") choose(known);
        }}
      />
      {other && (
        <ReferenceField
          value={text}
          suggestions={[]}
          label="CRS of the grid"
          help="name, code or place"
          onChange={setText}
          onPick={(code) => {
            setText(code);
            choose(code);
          }}
        />
      )}
      {problem && (
        <Box role="alert" sx={{ fontSize: 13, color: "error.main" }}>
          {problem}
        </Box>
      )}
    </Box>
  );
}

// The fixed interval does not fit the reference that was chosen: lengths are not degrees.
function Question({
  grid,
  was,
  sheet,
  pitch,
  onKeep,
  onDrop,
}: {
  grid: Grid;
  was: Grid;
  sheet: number;
  pitch: number | undefined;
  onKeep: (grid: Grid) => void;
  onDrop: () => void;
}) {
  const automatic: Grid = {
    ...grid,
    interval: undefined,
    origin: undefined,
    target_mm: pitch ? Math.min(Math.max(pitch, NARROWEST), WIDEST) : grid.target_mm,
  };
  const trial = useTrial(sheet, automatic);
  const near = trial?.data?.interval;
  return (
    <Box
      role="alertdialog"
      aria-label="Which interval?"
      sx={{ mt: 1, p: 1, border: 1, borderColor: "warning.main", fontSize: 13.5 }}
    >
      {was.interval?.x ?? was.interval?.y} does not fit this CRS. Choose an interval:
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.5 }}>
        {near && (
          <Button variant="outlined" onClick={() => onKeep({ ...grid, interval: near, origin: undefined })}>
            {near.x === near.y ? near.x : `${near.x}, ${near.y}`}, about as far apart
          </Button>
        )}
        <Button variant="outlined" onClick={() => onKeep(automatic)}>
          An automatic one
        </Button>
        <Button onClick={onDrop}>Cancel</Button>
      </Box>
    </Box>
  );
}

const DASHES: Record<string, number[] | undefined> = {
  solid: undefined,
  dashed: [2.4, 1.2],
  "short dashes": [1, 0.6],
  dots: [0.2, 0.8],
};

function Look({ grid, keep }: { grid: Grid; keep: (patch: Partial<Grid>) => Promise<unknown> }) {
  const drawn = filled(grid.stroke, defaults.stroke);
  const shown = filled(grid, defaults.grid);
  const look = shown.look;
  const shapes = look === "dots" || look === "squares";
  const stroke = (patch: Partial<Grid["stroke"]>) => keep({ stroke: { ...grid.stroke, ...patch } });
  const dash =
    Object.keys(DASHES).find((title) => JSON.stringify(DASHES[title]) === JSON.stringify(grid.stroke.dash_mm)) ?? "own";
  const every = grid.index_lines?.every;
  return (
    <ColourBeside
      colour={
        <Colour
          label={`Colour of ${grid.title ?? grid.id}`}
          value={drawn.colour}
          onKeep={(colour) => stroke({ colour })}
        />
      }
    >
      <Choice label="Drawn as" value={look} choices={gridLooks} onChoose={(chosen) => keep({ look: chosen })} />
      {shapes ? (
        <Measured
          label="Size, mm"
          value={shown.size_mm}
          least={0.05}
          most={50}
          onKeep={(size_mm) => keep({ size_mm })}
        />
      ) : (
        <Measured
          label="Width, mm"
          value={drawn.width_mm}
          least={0.01}
          most={10}
          onKeep={(width_mm) => stroke({ width_mm })}
        />
      )}
      {look === "crosses" && (
        <Measured label="Arms, mm" value={shown.arm_mm} least={0.1} most={100} onKeep={(arm_mm) => keep({ arm_mm })} />
      )}
      {look === "ticks" && (
        <Measured
          label="Length, mm"
          value={shown.tick_mm}
          least={0.1}
          most={100}
          onKeep={(tick_mm) => keep({ tick_mm })}
        />
      )}
      {look === "ticks" && (
        <Choice
          label="Ticks lie"
          value={shown.ticks}
          choices={[
            ["inside", "inside"],
            ["outside", "outside"],
            ["across", "across"],
          ]}
          onChoose={(ticks) => keep({ ticks })}
        />
      )}
      {look === "lines" && (
        <Choice
          label="Dash"
          value={dash}
          choices={[...Object.keys(DASHES), ...(dash === "own" ? ["own"] : [])].map((title) => [title, title] as const)}
          onChoose={(title) => stroke({ dash_mm: DASHES[title] })}
        />
      )}
      <Measured
        label="Opacity, %"
        value={Math.round(drawn.opacity * 100)}
        least={0}
        most={100}
        onKeep={(percent) => stroke({ opacity: percent / 100 })}
      />
      <Choice
        label="Index lines"
        value={every ? String(every) : "none"}
        choices={[
          ["none", "none"],
          ...[...new Set([2, 4, 5, 6, 10, ...(every ? [every] : [])])]
            .sort((a, b) => a - b)
            .map((n) => [String(n), `every ${ordinal(n)}`] as const),
        ]}
        onChoose={(n) => keep({ index_lines: n === "none" ? undefined : { ...grid.index_lines, every: Number(n) } })}
      />
      {every && !shapes && (
        <Measured
          label="Index line width, mm"
          value={grid.index_lines?.stroke?.width_mm ?? drawn.width_mm * 2}
          least={0.01}
          most={10}
          onKeep={(width_mm) => keep({ index_lines: { every, stroke: { ...grid.index_lines?.stroke, width_mm } } })}
        />
      )}
      <Measured
        label="Halo, mm"
        value={grid.halo?.width_mm ?? 0}
        least={0}
        most={10}
        onKeep={(width_mm) => keep({ halo: width_mm === 0 ? undefined : { ...grid.halo, width_mm } })}
      />
      <Choice
        label="Draw order"
        wide
        value={shown.draw_order}
        choices={[
          ["above", "above the layers"],
          ["below", "below the layers"],
        ]}
        onChoose={(draw_order) => keep({ draw_order: draw_order === "above" ? undefined : draw_order })}
      />
    </ColourBeside>
  );
}
