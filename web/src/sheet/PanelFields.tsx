import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import type { ElementOf, Gradient, Shadow } from "../api/types";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { Field } from "../fields/Field";
import { FillFields } from "../fields/FillFields";
import { Measured } from "../fields/Measured";
import { Percent } from "../fields/Percent";
import { Pair } from "../fields/Pair";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { readNumber } from "../numbers/read";
import { toldElsewhere } from "../api/toldElsewhere";
import { whole } from "./kinds";
import { limits } from "../generated/limits";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

type Backed = ElementOf<"text"> | ElementOf<"legend"> | ElementOf<"box"> | ElementOf<"ellipse">;
type Panel = Backed | ElementOf<"line"> | ElementOf<"neatline">;
type Save<E> = (patch: Partial<E>) => Promise<unknown>;

const isBacked = (element: Panel): element is Backed =>
  element.kind === "text" || element.kind === "legend" || element.kind === "box" || element.kind === "ellipse";
const isCornered = (element: Panel): element is Exclude<Backed, ElementOf<"ellipse">> =>
  isBacked(element) && element.kind !== "ellipse";

const AREAS = [
  ["none", t("none")],
  ["colour", t("one colour")],
  ["gradient", t("gradient")],
] as const;

/** What lies behind an element, or what it is: its area, the line round it, its corners, its shadow. */
export function PanelFields({ element, onSave }: { element: Panel; onSave: Save<Panel> }) {
  const stroke = element.stroke;
  const drawn = filled(stroke, defaults.stroke);
  const removable = element.kind === "text" || element.kind === "legend";
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {isBacked(element) && <AreaFields element={element} onSave={onSave} />}
      <Box sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
        {stroke && (
          <Colour
            label={t("Colour of the line")}
            value={drawn.colour}
            onSave={(colour) => onSave({ stroke: { ...stroke, colour } })}
          />
        )}
        {stroke && (
          <Measured
            label={t("Line, mm")}
            value={drawn.width_mm}
            limits={limits.stroke.width_mm}
            onSave={(width_mm) => onSave({ stroke: { ...stroke, width_mm } })}
          />
        )}
        {removable && (
          <Button onClick={() => void onSave({ stroke: stroke ? undefined : { colour: "#1f2a30", width_mm: 0.3 } })}>
            {stroke ? t("No line") : t("Outline")}
          </Button>
        )}
        {isCornered(element) && (element.fill || element.gradient || stroke) && (
          <Corners element={element} onSave={onSave} />
        )}
      </Box>
      {isBacked(element) && <ShadowFields shadow={element.shadow} onSave={(shadow) => onSave({ shadow })} />}
    </Box>
  );
}

// One radius for all corners, or four: upper left, upper right, lower right, lower left.
function Corners({ element, onSave }: { element: Exclude<Backed, ElementOf<"ellipse">>; onSave: Save<Panel> }) {
  const shown = element.corners_mm ?? [whole(element).corner_mm];
  return (
    <Field
      label={t("Corners, mm")}
      value={shown.join("; ")}
      onSave={(text) => {
        const radii = text
          .split(";")
          .map((part) => part.trim())
          .filter((part) => part !== "")
          .map(readNumber);
        if ((radii.length !== 1 && radii.length !== 4) || radii.some((radius) => radius === null || radius < 0))
          throw new Error(t("Enter one radius, or four from the upper left clockwise, such as 0; 3; 3; 0."));
        return radii.length === 1
          ? onSave({ corner_mm: radii[0]!, corners_mm: undefined })
          : onSave({ corners_mm: radii as number[] });
      }}
    />
  );
}

function AreaFields({ element, onSave }: { element: Backed; onSave: Save<Panel> }) {
  const { fill, gradient } = element;
  const choose = (kind: "none" | "colour" | "gradient") =>
    onSave({
      fill: kind === "colour" ? (fill ?? { colour: gradient?.stops[0]?.colour ?? "#fffdf6" }) : undefined,
      gradient:
        kind === "gradient"
          ? {
              stops: [
                { at: 0, colour: fill?.colour ?? "#e8dfc4" },
                { at: 1, colour: "#fffdf6" },
              ],
            }
          : undefined,
    });
  return (
    <>
      <Choice
        label={t("Area")}
        value={gradient ? "gradient" : fill ? "colour" : "none"}
        choices={AREAS}
        onChoose={choose}
      />
      {!gradient && fill && <FillFields fill={fill} onSave={(fresh) => onSave({ fill: fresh })} />}
      {gradient && <GradientFields gradient={gradient} onSave={(fresh) => onSave({ gradient: fresh })} />}
    </>
  );
}

// Colours at places of the way, from its beginning to its end.
function GradientFields({
  gradient,
  onSave,
}: {
  gradient: Gradient;
  onSave: (gradient: Gradient) => Promise<unknown>;
}) {
  const shown = filled(gradient, defaults.gradient);
  const stops = gradient.stops;
  const put = (index: number, patch: Partial<Gradient["stops"][number]>) =>
    onSave({ ...gradient, stops: stops.map((stop, place) => (place === index ? { ...stop, ...patch } : stop)) });
  return (
    <>
      <Pair>
        <Choice
          label={t("Kind")}
          value={shown.kind}
          choices={choices.gradient.kind}
          onChoose={(kind) => onSave({ ...gradient, kind })}
        />
        {shown.kind === "linear" && (
          <Measured
            label={t("Direction, ° clockwise")}
            value={shown.direction_deg}
            limits={limits.gradient.direction_deg}
            onSave={(direction_deg) => onSave({ ...gradient, direction_deg })}
          />
        )}
      </Pair>
      <Box
        component="ol"
        aria-label={t("Colours of the gradient")}
        sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gap: 0.5 }}
      >
        {stops.map((stop, index) => (
          <Box component="li" key={index} sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
            <Colour
              label={t("Colour %{value} of the gradient", { value: index + 1 })}
              value={stop.colour}
              onSave={(colour) => put(index, { colour })}
            />
            <Percent label={t("At, %")} value={stop.at} onSave={(at) => put(index, { at })} />
            <Percent label={t("Opacity, %")} value={stop.opacity ?? 1} onSave={(opacity) => put(index, { opacity })} />
            <IconButton
              size="small"
              aria-label={t("Remove colour %{value} of the gradient", { value: index + 1 })}
              disabled={stops.length < 3}
              onClick={() =>
                void onSave({ ...gradient, stops: stops.filter((_, place) => place !== index) }).catch(toldElsewhere)
              }
            >
              <RemoveIcon sx={{ fontSize: 16 }} />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Button
        startIcon={<AddIcon />}
        sx={{ justifySelf: "start" }}
        onClick={() =>
          void onSave({
            ...gradient,
            stops: [
              ...stops.slice(0, -1),
              { at: between(stops), colour: stops[stops.length - 1]!.colour },
              stops[stops.length - 1]!,
            ],
          }).catch(toldElsewhere)
        }
      >
        {t("Colour")}
      </Button>
    </>
  );
}

const between = (stops: Gradient["stops"]) =>
  Math.round(((stops[stops.length - 2]!.at + stops[stops.length - 1]!.at) / 2) * 1000) / 1000;

/** The shadow of an element: how far it falls, how soft it is, its colour. */
export function ShadowFields({
  shadow,
  onSave,
}: {
  shadow: Shadow | undefined;
  onSave: (shadow: Shadow | undefined) => Promise<unknown>;
}) {
  const shown = filled(shadow, defaults.shadow);
  const keep = (patch: Partial<Shadow>) => onSave({ ...shadow, ...patch });
  return (
    <>
      <Button sx={{ justifySelf: "start" }} onClick={() => void onSave(shadow ? undefined : {}).catch(toldElsewhere)}>
        {shadow ? t("No shadow") : t("Shadow")}
      </Button>
      {shadow && (
        <ColourBeside
          colour={
            <Colour label={t("Colour of the shadow")} value={shown.colour} onSave={(colour) => keep({ colour })} />
          }
        >
          <NumberOf label={t("Offset right, mm")} part="shadow" of="dx_mm" given={shown} onSave={keep} />
          <NumberOf label={t("Offset down, mm")} part="shadow" of="dy_mm" given={shown} onSave={keep} />
          <NumberOf label={t("Soft edge, mm")} part="shadow" of="soft_mm" given={shown} onSave={keep} />
          <Percent label={t("Opacity, %")} value={shown.opacity} onSave={(opacity) => keep({ opacity })} />
        </ColourBeside>
      )}
    </>
  );
}
