import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, Checkbox, FormControlLabel, Typography } from "@mui/material";
import type { ReactNode } from "react";
import type { Answer, Index } from "../api/types";
import type { IndexPatch } from "../api/weave";
import { listed, ratio, readNumber, readScale } from "../api/words";
import { Card } from "../frame/Card";
import { Field } from "../fields/Field";
import { useAreaAttributes } from "../api/useAttributes";
import { Choice } from "../fields/Choice";
import { Measured } from "../fields/Measured";

export interface Trying {
  // The index as it would be.
  index: Index;
  onTry: (patch: IndexPatch) => void;
}

interface SettingsCardProps extends Trying {
  title: string;
  // What it would come to; none while nothing is tried.
  foretold: ReactNode;
  answer: Answer | undefined;
  problem: string | undefined;
  tried: boolean;
  onKeep: () => Promise<unknown>;
  onDrop: () => void;
  onBack: () => void;
  children: ReactNode;
}

// Settings of the weave that are tried before they are kept: the map shows the cells that would come.
export function SettingsCard({
  title,
  foretold,
  answer,
  problem,
  tried,
  onKeep,
  onDrop,
  onBack,
  children,
}: SettingsCardProps) {
  return (
    <Card title={title}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        The sheet
      </Button>
      <Box sx={{ display: "grid", gap: 1.5 }}>{children}</Box>
      {tried && (
        <Box sx={{ mt: 2, p: 1.25, border: 2, borderColor: problem ? "error.main" : "thread.main" }}>
          <Typography
            role={problem ? "alert" : "status"}
            sx={{ fontSize: 14, color: problem ? "error.main" : undefined }}
          >
            {problem ?? foretold}
          </Typography>
          {answer && !problem && <Difference answer={answer} />}
          <Box sx={{ display: "flex", gap: 1, mt: 1 }}>
            <Button
              variant="contained"
              disabled={!answer || !!problem}
              onClick={() => void onKeep().catch(() => undefined)}
            >
              Weave so
            </Button>
            <Button color="inherit" onClick={onDrop}>
              Drop
            </Button>
          </Box>
        </Box>
      )}
    </Card>
  );
}

// Which names come, go and stay.
export function Difference({ answer }: { answer: Answer }) {
  const { come = [], go = [], stay = 0 } = answer;
  return (
    <Typography sx={{ fontSize: 13, color: "text.secondary", mt: 0.5 }}>
      {come.length === 0 && go.length === 0 ? (
        "All names stay."
      ) : (
        <>
          {stay} names stay{come.length > 0 && <>; {listed(come, 6)} come</>}
          {go.length > 0 && <>; {listed(go, 6)} go</>}.
        </>
      )}
    </Typography>
  );
}

const length = (text: string, expected: string) => {
  const plain = text.trim().replace(",", ".");
  if (/^\d+(\.\d+)?$/.test(plain)) return `${plain} m`;
  if (!/^\d+(\.\d+)?\s*(m|km|ft|us-ft|yd|mi|nmi)$/.test(plain)) throw new Error(expected);
  return plain;
};

// Where a grid begins, how it is turned, which cells stay, and whether to look for the fewest.
export function GridSettings({ index, onTry }: Trying) {
  const start = index.start;
  const fewest = index.fewest ?? "no";
  return (
    <>
      <Choice
        label="Fewest sheets"
        value={fewest}
        choices={[
          ["no", "the grid lies as set below"],
          ["moved", "move it for the fewest"],
          ["turned", "move and turn it for the fewest"],
        ]}
        onChoose={async (value) => onTry({ fewest: value === "no" ? null : (value as "moved") })}
      />
      {fewest === "no" && (
        <>
          <Choice
            label="Begins"
            value={start?.kind ?? "centred"}
            choices={[
              ["centred", "centred on the area"],
              ["round", "corners on round coordinates"],
              ["point", "a corner at a point"],
            ]}
            onChoose={async (kind) =>
              onTry({
                start:
                  kind === "centred"
                    ? null
                    : kind === "round"
                      ? { kind, multiple: start?.multiple ?? "100 m", x: null, y: null }
                      : { kind: "point", multiple: null, x: start?.x ?? 0, y: start?.y ?? 0 },
              } as IndexPatch)
            }
          />
          {start?.kind === "round" && (
            <Field
              label="Corners on multiples of"
              value={start.multiple ?? ""}
              onKeep={async (text) =>
                onTry({ start: { multiple: length(text, "Write a ground length, such as 100 m.") } } as IndexPatch)
              }
            />
          )}
          {start?.kind === "point" && (
            <Box sx={{ display: "flex", gap: 1 }}>
              {(["x", "y"] as const).map((axis) => (
                <Measured
                  key={axis}
                  label={axis === "x" ? "East" : "North"}
                  value={start[axis] ?? 0}
                  least={-1e9}
                  most={1e9}
                  onKeep={async (value) => onTry({ start: { [axis]: value } } as IndexPatch)}
                />
              ))}
            </Box>
          )}
          <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
            <Field
              label="Turned, ° counter-clockwise"
              value={index.turn === "best" ? "as the area lies" : String(index.turn ?? 0)}
              onKeep={async (text) => {
                const turn = readNumber(text);
                if (turn === null || Math.abs(turn) > 180) throw new Error("-180 to 180");
                onTry({ turn: turn === 0 ? null : turn });
              }}
            />
            <Button onClick={() => onTry({ turn: index.turn === "best" ? null : "best" })} sx={{ flexShrink: 0 }}>
              {index.turn === "best" ? "Not turned" : "As the area lies"}
            </Button>
          </Box>
          <Box sx={{ display: "flex", gap: 1 }}>
            {(["x", "y"] as const).map((axis) => (
              <Field
                key={axis}
                label={axis === "x" ? "Steps of its own, across" : "and down"}
                value={index.step?.[axis] ?? ""}
                placeholder="by the overlap"
                onKeep={async (text) => {
                  onTry({
                    step: {
                      [axis]:
                        text.trim() === "" ? null : length(text, "Write a ground length, such as 500 m, or nothing."),
                    },
                  } as IndexPatch);
                }}
              />
            ))}
          </Box>
        </>
      )}
      <Choice
        label="Cells that stay"
        value={typeof index.keep === "number" ? "share" : (index.keep ?? "touching")}
        choices={[
          ["touching", "that touch the area"],
          ["share", "that hold a share of it"],
          ["all", "all of the rectangle"],
        ]}
        onChoose={async (value) => onTry({ keep: value === "touching" ? null : value === "share" ? 0.1 : "all" })}
      />
      {typeof index.keep === "number" && (
        <Measured
          label="Least share of a cell, %"
          value={Math.round(index.keep * 1000) / 10}
          least={0.1}
          most={100}
          onKeep={async (value) => onTry({ keep: value / 100 })}
        />
      )}
    </>
  );
}

// How frames follow a line.
export function StripSettings({ index, onTry }: Trying) {
  return (
    <>
      <Measured
        label="The line stays inside the sides by, mm"
        value={index.lead_mm ?? 10}
        least={0}
        most={1000}
        onKeep={async (lead_mm) => onTry({ lead_mm })}
      />
      <Choice
        label="Rotation along the strip"
        value={index.upward ?? "north"}
        choices={[
          ["north", "north as far up as it can be"],
          ["route", "read along the route, left to right"],
        ]}
        onChoose={async (upward) => onTry({ upward: upward === "route" ? "route" : null })}
      />
      {index.upward !== "route" && (
        <Measured
          label="Maximum rotation, °"
          value={index.most_turn_deg ?? 180}
          least={0}
          most={180}
          onKeep={async (most_turn_deg) => onTry({ most_turn_deg })}
        />
      )}
      <Field
        label="Bridges gaps of the line up to"
        value={index.gap ?? "0 m"}
        onKeep={async (text) => onTry({ gap: length(text, "Write a ground length, such as 20 m.") })}
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={index.reverse ?? false}
            onChange={(event) => onTry({ reverse: event.target.checked || null })}
          />
        }
        label="follow it the other way"
      />
    </>
  );
}

const NONE = "";

// The scale rule and the place of a sheet for each feature.
export function FeatureSettings({ index, onTry }: Trying) {
  const rule = index.rule ?? { kind: "hold" as const };
  return (
    <>
      <Choice
        label="Scale of a sheet"
        value={rule.kind}
        choices={[
          ["hold", `the same for all, ${ratio(index.scale)}`],
          ["fit", "fits the feature"],
          ["ladder", "first of a ladder that fits"],
          ["attribute", "in an attribute"],
        ]}
        onChoose={async (kind) => onTry({ rule: { kind: kind as "hold" } })}
      />
      {(rule.kind === "fit" || rule.kind === "ladder") && (
        <Field
          label="Room round it"
          value={rule.margin ?? "10 %"}
          onKeep={async (text) => {
            if (!/^\s*\d+(\.\d+)?\s*(%|mm|in|pt)\s*$/.test(text))
              throw new Error("Write a share (10 %) or a width on paper (8 mm).");
            onTry({ rule: { margin: text.trim() } } as IndexPatch);
          }}
        />
      )}
      {rule.kind === "ladder" && (
        <Field
          label="Ladder of scales"
          value={(rule.ladder ?? [500, 1000, 1250, 2000, 2500, 5000, 10000, 20000, 25000, 50000, 100000]).join("; ")}
          multiline
          onKeep={async (text) => {
            const ladder = text.split(";").map((part) => readScale(part));
            if (ladder.some((scale) => scale === null))
              throw new Error("Write scales with ; between them, such as 500; 1000; 2500.");
            onTry({ rule: { ladder: ladder as number[] } } as IndexPatch);
          }}
        />
      )}
      {rule.kind === "attribute" && (
        <AttributeChoice
          label="Attribute with the scale"
          index={index}
          value={rule.attribute}
          onChoose={(attribute) => onTry({ rule: { attribute: attribute || null } } as IndexPatch)}
        />
      )}
      <Choice
        label="Centred on"
        value={index.centre ?? "extent"}
        choices={[
          ["extent", "the middle of its extent"],
          ["inner", "the largest circle inside it"],
        ]}
        onChoose={async (centre) => onTry({ centre: centre === "extent" ? null : (centre as "inner") })}
      />
      <FormControlLabel
        control={
          <Checkbox
            size="small"
            checked={index.several ?? false}
            onChange={(event) => onTry({ several: event.target.checked || null })}
          />
        }
        label="several sheets for what is larger than the frame"
      />
      <AttributeChoice
        label="Named by"
        index={index}
        value={index.naming?.attribute}
        onChoose={(attribute) => onTry({ naming: attribute ? { kind: "attribute", attribute } : null })}
      />
    </>
  );
}

export function LayerSettings({ index, onTry }: Trying) {
  return (
    <>
      <AttributeChoice
        label="Named by"
        index={index}
        value={index.naming?.attribute}
        onChoose={(attribute) => onTry({ naming: attribute ? { kind: "attribute", attribute } : null })}
      />
      <AttributeChoice
        label="Scale in"
        index={index}
        value={index.scale_attribute}
        none={`none: ${ratio(index.scale)}`}
        onChoose={(attribute) => onTry({ scale_attribute: attribute || null })}
      />
      <AttributeChoice
        label="Turn in"
        index={index}
        value={index.turn_attribute}
        none="none: as the shapes lie"
        onChoose={(attribute) => onTry({ turn_attribute: attribute || null })}
      />
    </>
  );
}

// An attribute of the study area's first layer.
export function AttributeChoice({
  label,
  index,
  value,
  none = "none: their identity",
  onChoose,
}: {
  label: string;
  index: Index;
  value: string | undefined;
  none?: string;
  onChoose: (attribute: string) => void;
}) {
  const names = useAreaAttributes(index.area);
  return (
    <Choice
      label={label}
      value={value && names.includes(value) ? value : NONE}
      choices={[[NONE, none] as const, ...names.map((name) => [name, name] as const)]}
      onChoose={async (name) => onChoose(name)}
    />
  );
}
