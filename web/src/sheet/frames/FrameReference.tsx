import { useState } from "react";
import { useBook } from "../../api/book";
import type { Globe, InsetKind } from "../../api/types";
import { Choice } from "../../fields/Choice";
import { Colour } from "../../fields/Colour";
import { ColourBeside } from "../../fields/ColourBeside";
import { Flag } from "../../fields/Flag";
import { Pair } from "../../fields/Pair";
import { ReferenceField } from "../../fields/ReferenceField";
import { filled } from "../../fields/filled";
import { defaults } from "../../generated/defaults";
import type { KeepFrame } from "./FrameFields";
import { NumberOf } from "../../fields/NumberOf";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

type Way = "book" | "own" | "globe";

/** In which reference a frame is drawn: the book's, another one, or a view of the globe. */
export function FrameReference({ element, onSave }: { element: InsetKind; onSave: KeepFrame<InsetKind> }) {
  const book = useBook();
  const [choosing, setChoosing] = useState(false);
  const own = element.crs !== undefined && element.crs !== "book";
  const way: Way = element.globe ? "globe" : own || choosing ? "own" : "book";
  const choose = async (chosen: Way) => {
    setChoosing(chosen === "own");
    if (chosen === "own") return;
    if (chosen === "globe")
      await onSave({ globe: {}, crs: undefined, layers: "none", labels: undefined }, "View of the globe");
    else await onSave({ globe: undefined, crs: undefined, ...(element.globe && { layers: undefined }) }, "CRS");
  };
  return (
    <>
      <Choice
        label={t("Drawn in")}
        value={way}
        choices={[
          ["book", t("the book’s CRS (%{name})", { name: book.reference.name })],
          ["own", t("another CRS")],
          ["globe", t("a view of the globe")],
        ]}
        onChoose={choose}
      />
      {way === "own" && (
        <OwnReference value={own ? element.crs! : ""} onSave={(crs) => onSave({ crs, globe: undefined }, "CRS")} />
      )}
      {element.globe && (
        <GlobeFields globe={element.globe} onSave={(globe) => onSave({ globe }, "View of the globe")} />
      )}
    </>
  );
}

function OwnReference({ value, onSave }: { value: string; onSave: (crs: string) => Promise<unknown> }) {
  const [text, setText] = useState(value);
  const [wrong, setWrong] = useState<string | null>(null);
  const keep = (code: string) => {
    if (code.trim() === "" || code === value) return;
    setWrong(null);
    onSave(code.trim()).catch((error: Error) => setWrong(error.message));
  };
  return (
    <div onBlur={() => keep(text)}>
      <ReferenceField
        value={text}
        onChange={setText}
        onPick={keep}
        suggestions={[]}
        label={t("CRS of the frame")}
        help={wrong ?? t("By name, code or place; or a definition (+proj=…, WKT) with its parameters.")}
      />
    </div>
  );
}

function GlobeFields({ globe, onSave }: { globe: Globe; onSave: (globe: Globe) => Promise<unknown> }) {
  const shown = filled(globe, defaults.globe);
  const keep = (patch: Partial<Globe>) => onSave({ ...globe, ...patch });
  return (
    <>
      <Choice
        label={t("Projection")}
        value={shown.projection}
        choices={choices.globe.projection}
        onChoose={(projection) =>
          keep({
            projection,
            ...(projection === "orthographic" && shown.reach_deg > 90 ? { reach_deg: undefined } : {}),
          })
        }
      />
      <Choice
        label={t("Centred on")}
        value={shown.centre}
        choices={choices.globe.centre}
        onChoose={(centre) => keep({ centre })}
      />
      {shown.centre === "place" && (
        <Pair>
          <NumberOf label={t("Longitude, °")} part="globe" of="longitude" given={shown} onSave={keep} />
          <NumberOf label={t("Latitude, °")} part="globe" of="latitude" given={shown} onSave={keep} />
        </Pair>
      )}
      <NumberOf label={t("Frame rotation, ° clockwise")} part="globe" of="rotation_deg" given={shown} onSave={keep} />
      {shown.projection !== "orthographic" && (
        <NumberOf label={t("Shows up to, ° from its centre")} part="globe" of="reach_deg" given={shown} onSave={keep} />
      )}
      <ColourBeside
        colour={
          <Colour
            label={t("Colour of the sea")}
            value={shown.sea.colour}
            onSave={(colour) => keep({ sea: { ...shown.sea, colour } })}
          />
        }
      >
        <span>{t("sea")}</span>
        <span style={{ display: "flex", gap: 8, alignItems: "center" }}>
          {rich(t("<1/>land"), {
            1: (
              <Colour
                label={t("Colour of the land")}
                value={shown.land.colour}
                onSave={(colour) => keep({ land: { ...shown.land, colour } })}
              />
            ),
          })}
        </span>
      </ColourBeside>
      <Flag
        label={t("Outline of the globe")}
        value={!!globe.rim}
        onSave={(on) => keep({ rim: on ? { colour: "#7d7a66", width_mm: 0.2 } : undefined })}
      />
      <span style={{ fontSize: 12.5 }}>{t("Land: Natural Earth (public domain), generalised.")}</span>
    </>
  );
}
