import { Box, Button, Menu, MenuItem } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useChange } from "../api/book";
import { get, post, upload } from "../api/client";
import type { ScaleBarElement } from "../api/types";
import { barStyles } from "../generated/kinds";
import { Heading } from "../frame/Card";
import { Field } from "../fields/Field";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { Measured } from "../fields/Measured";
import { useLayout } from "./layout";
import { Told } from "./Told";
import { titleOf } from "./useElements";
import { FileInput } from "../fields/FileInput";
import { isGridded, whole } from "./kinds";

type Keep = (patch: Partial<ScaleBarElement>) => Promise<unknown>;

const UNITS = [
  ["metric", "m, km"],
  ["imperial", "ft, miles"],
  ["survey", "US survey ft, miles"],
  ["yards", "yards, miles"],
  ["nautical", "m, nautical miles"],
  ["m", "metres"],
  ["km", "kilometres"],
  ["ft", "feet"],
  ["us-ft", "US survey feet"],
  ["yd", "yards"],
  ["mi", "miles"],
  ["nmi", "nautical miles"],
  ["paces", "paces"],
  ["minutes", "minutes of walking"],
] as const;
const PLACES = [
  ["none", "none"],
  ["above", "above"],
  ["below", "below"],
] as const;
const GRID = {
  display: "grid",
  gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)",
  gap: 1,
  alignItems: "end",
} as const;

// A scale bar: what it counts, how it is marked and drawn; what it comes to is told above.
export function ScaleBarFields({ element, onKeep }: { element: ScaleBarElement; onKeep: Keep }) {
  const shown = whole(element);
  const { layout } = useLayout();
  const frames = layout.elements.filter(isGridded);
  const own = frames.find((known) => known.kind !== "locator");
  const style = shown.style;
  const ticked = style === "ticked_line" || style === "two_units";
  const paced = [element.units, element.second_units].includes("paces"),
    walked = [element.units, element.second_units].includes("minutes");
  const chosen = element.true_at;
  return (
    <>
      <Heading text="Scale bar" />
      <Told id={element.id} />
      <Box sx={{ ...GRID, mt: 1 }}>
        <Choice label="Units" value={shown.units} choices={UNITS} onChoose={(units) => onKeep({ units })} />
        <Choice
          label="Second units"
          value={element.second_units ?? "none"}
          choices={[["none", "none"], ...UNITS]}
          onChoose={(units) => onKeep({ second_units: units === "none" ? undefined : units })}
        />
        {paced && (
          <Measured label="Pace, m" value={shown.pace_m} least={0.1} most={3} onKeep={(pace_m) => onKeep({ pace_m })} />
        )}
        {walked && (
          <Measured
            label="Walk, km an hour"
            value={shown.walk_kmh}
            least={0.1}
            most={30}
            onKeep={(walk_kmh) => onKeep({ walk_kmh })}
          />
        )}
        <Field
          label="Division length"
          value={element.division_length ?? ""}
          placeholder="round"
          onKeep={(text) => onKeep({ division_length: text.trim() || undefined })}
        />
        <Whole label="Divisions" value={element.divisions} onKeep={(divisions) => onKeep({ divisions })} />
        <Whole label="Extension left of zero" value={element.extension} onKeep={(extension) => onKeep({ extension })} />
        <Choice
          label="Labelled"
          value={shown.labelled}
          choices={[
            ["all", "every mark"],
            ["alternate", "every second"],
            ["ends", "the ends"],
            ["none", "none"],
          ]}
          onChoose={(labelled) => onKeep({ labelled })}
        />
        <Choice
          label="Label position"
          value={shown.labels_at}
          choices={[
            ["above", "above"],
            ["below", "below"],
          ]}
          onChoose={(labels_at) => onKeep({ labels_at })}
        />
        <Choice
          label="Unit position"
          value={shown.unit_at}
          choices={[
            ["last", "after the last"],
            ["middle", "in the middle"],
            ["none", "nowhere"],
          ]}
          onChoose={(unit_at) => onKeep({ unit_at })}
        />
        <Field
          label="Unit symbol"
          value={element.unit_text ?? ""}
          placeholder="as usual"
          onKeep={(text) => onKeep({ unit_text: text.trim() || undefined })}
        />
        <Whole label="Decimals" value={element.decimals} onKeep={(decimals) => onKeep({ decimals })} />
        <Choice
          label="Thousands"
          value={shown.thousands}
          choices={[
            ["comma", "1,000"],
            ["thin", "1 000"],
            ["point", "1.000"],
            ["none", "1000"],
          ]}
          onChoose={(thousands) => onKeep({ thousands })}
        />
        <Choice
          label="Representative fraction"
          value={shown.fraction}
          choices={PLACES}
          onChoose={(fraction) => onKeep({ fraction })}
        />
        <Choice label="Verbal scale" value={shown.verbal} choices={PLACES} onChoose={(verbal) => onKeep({ verbal })} />
        {shown.verbal !== "none" && (
          <Choice
            label="Verbal scale in"
            value={shown.verbal_units}
            choices={[
              ["metric", "cm and m"],
              ["imperial", "inches and feet"],
            ]}
            onChoose={(verbal_units) => onKeep({ verbal_units })}
          />
        )}
      </Box>
      <Heading text="Look" />
      <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
        <Box sx={{ pt: 1.75, display: "grid", gap: 0.5 }}>
          <Colour label="Colour of the bar" value={shown.colour} onKeep={(colour) => onKeep({ colour })} />
          <Colour label="Light colour of the bar" value={shown.light} onKeep={(light) => onKeep({ light })} />
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, ...GRID }}>
          <Box sx={{ gridColumn: "1 / -1", display: "grid" }}>
            <Choice label="Style" value={style} choices={barStyles} onChoose={(chosen) => onKeep({ style: chosen })} />
          </Box>
          {style === "ticked_line" ? (
            <Choice
              label="Ticks"
              value={shown.ticks}
              choices={[
                ["up", "up"],
                ["down", "down"],
                ["through", "through"],
              ]}
              onChoose={(ticks) => onKeep({ ticks })}
            />
          ) : (
            <Choice
              label="Alignment"
              value={shown.align}
              choices={[
                ["left", "left"],
                ["centre", "centred"],
                ["right", "right"],
              ]}
              onChoose={(align) => onKeep({ align })}
            />
          )}
          {ticked ? (
            <Measured
              label="Ticks, mm"
              value={shown.tick_mm}
              least={0.1}
              most={50}
              onKeep={(tick_mm) => onKeep({ tick_mm })}
            />
          ) : (
            <Measured
              label="Height, mm"
              value={shown.height_mm}
              least={0.1}
              most={50}
              onKeep={(height_mm) => onKeep({ height_mm })}
            />
          )}
          {style === "double_chequered" ? (
            <Measured
              label="Between rows, mm"
              value={shown.gap_mm}
              least={0}
              most={50}
              onKeep={(gap_mm) => onKeep({ gap_mm })}
            />
          ) : (
            <Measured
              label="Line, mm"
              value={shown.stroke_mm}
              least={0.01}
              most={5}
              onKeep={(stroke_mm) => onKeep({ stroke_mm })}
            />
          )}
          <Measured
            label="Type size, pt"
            value={shown.size_pt}
            least={1}
            most={100}
            onKeep={(size_pt) => onKeep({ size_pt })}
          />
          <Measured
            label="Label gap, mm"
            value={shown.label_gap_mm}
            least={0}
            most={50}
            onKeep={(label_gap_mm) => onKeep({ label_gap_mm })}
          />
          <Measured
            label="Halo, mm"
            value={element.halo?.width_mm ?? 0}
            least={0}
            most={10}
            onKeep={(width_mm) => onKeep({ halo: width_mm === 0 ? undefined : { ...element.halo, width_mm } })}
          />
          <Choice
            label="Backing"
            value={element.backing ? "white" : "none"}
            choices={[
              ["none", "none"],
              ["white", "white"],
            ]}
            onChoose={(backing) =>
              onKeep({ backing: backing === "none" ? undefined : { colour: "#ffffff", opacity: 0.85 } })
            }
          />
        </Box>
      </Box>
      <Styles element={element} />
      <Heading text="Measure" />
      <Box sx={GRID}>
        <Choice
          label="Of the frame"
          value={element.frame ?? own?.id ?? ""}
          choices={frames.map((known) => [known.id, titleOf(known)] as const)}
          onChoose={(frame) => onKeep({ frame: frame === own?.id ? undefined : frame })}
        />
        <Choice
          label="Scale"
          value={shown.measured}
          choices={[
            ["level", "on the ellipsoid"],
            ["grid", "on the projection"],
          ]}
          onChoose={(measured) => onKeep({ measured })}
        />
        <Measured
          label="Error limit, %"
          value={shown.error_limit_percent}
          least={0.001}
          most={100}
          onKeep={(error_limit_percent) => onKeep({ error_limit_percent })}
        />
        <Choice
          label="If exceeded"
          value={shown.if_exceeded}
          choices={[
            ["warn", "warn"],
            ["by_latitude", "a bar by latitude"],
          ]}
          onChoose={(if_exceeded) => onKeep({ if_exceeded })}
        />
        <Choice
          label="One length for"
          value={shown.fitted}
          choices={[
            ["book", "all sheets"],
            ["sheet", "each sheet"],
          ]}
          onChoose={(fitted) => onKeep({ fitted: fitted === "book" ? undefined : fitted })}
        />
        <Field
          label="True at, mm"
          value={chosen ? `${chosen.x_mm}; ${chosen.y_mm}` : ""}
          placeholder="the middle"
          onKeep={(text) => {
            const parts = text.split(";").map((part) => Number(part.trim().replace(",", ".")));
            if (text.trim() !== "" && (parts.length !== 2 || parts.some((part) => !Number.isFinite(part))))
              throw new Error("Write a place on the page, such as 120; 85.");
            return onKeep({ true_at: text.trim() === "" ? undefined : { x_mm: parts[0]!, y_mm: parts[1]! } });
          }}
        />
        <Field
          label="Minimum length, mm"
          value={element.minimum_mm === undefined ? "" : String(element.minimum_mm)}
          placeholder="5"
          onKeep={(text) => {
            const least = Number(text.trim().replace(",", "."));
            if (text.trim() !== "" && !(least >= 0)) throw new Error("Write millimetres, such as 40.");
            return onKeep({ minimum_mm: text.trim() === "" ? undefined : least });
          }}
        />
      </Box>
    </>
  );
}

// A whole number, or none of its own.
function Whole({
  label,
  value,
  onKeep,
}: {
  label: string;
  value: number | undefined;
  onKeep: (value: number | undefined) => Promise<unknown>;
}) {
  return (
    <Field
      label={label}
      value={value === undefined ? "" : String(value)}
      placeholder="as fits"
      onKeep={(text) => {
        const number = Number(text.trim());
        if (text.trim() !== "" && !Number.isInteger(number)) throw new Error("Write a whole number.");
        return onKeep(text.trim() === "" ? undefined : number);
      }}
    />
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
        Saved styles
      </Button>
      <Button onClick={() => settle(ask("bar-style", { element: element.id }))} sx={{ px: 0.5 }}>
        This style on all bars
      </Button>
      <Field
        label="Save this style as"
        value=""
        placeholder="a name"
        onKeep={async (name) => {
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
          list: { dense: true, "aria-label": "Saved styles" },
          paper: { role: "dialog", "aria-label": "Styles of scale bars" },
        }}
      >
        {styles.length === 0 && <MenuItem disabled>No style is saved yet</MenuItem>}
        {styles.map((style) => (
          <MenuItem key={style.id} onClick={() => settle(ask("bar-style", { style_id: style.id, only: element.id }))}>
            {style.name}
          </MenuItem>
        ))}
        {styles.map((style) => (
          <MenuItem key={`all ${style.id}`} onClick={() => settle(ask("bar-style", { style_id: style.id }))}>
            {style.name}, on all bars
          </MenuItem>
        ))}
        {styles.map((style) => (
          <MenuItem
            key={`file ${style.id}`}
            component="a"
            href={`/api/bar-styles/${style.id}/file`}
            onClick={() => setAnchor(null)}
          >
            Export {style.name}
          </MenuItem>
        ))}
        {styles.map((style) => (
          <MenuItem
            key={`away ${style.id}`}
            onClick={() => settle(post(`/api/bar-styles/${style.id}`, undefined, { method: "DELETE" }))}
          >
            Delete {style.name}
          </MenuItem>
        ))}
        <MenuItem onClick={() => file.current?.click()}>Import a style …</MenuItem>
      </Menu>
      <FileInput
        ref={file}
        label="Style of scale bars from a file"
        accept=".json,application/json"
        onFiles={([chosenFile]) => chosenFile && settle(upload("/api/bar-styles/file", chosenFile))}
      />
    </Box>
  );
}
