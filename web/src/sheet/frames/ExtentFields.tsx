import { Box, IconButton } from "@mui/material";
import { useBook } from "../../api/book";
import type { FrameExtent, InsetKind } from "../../api/types";
import { ratio } from "../../api/words";
import { readScale } from "../../numbers/read";
import { useAttributes } from "../../api/useAttributes";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Choice } from "../../fields/Choice";
import { ConditionEditor } from "../../fields/ConditionEditor";
import { Field } from "../../fields/Field";
import { Flag } from "../../fields/Flag";
import { Measured } from "../../fields/Measured";
import { nextScales } from "../../fields/nextScales";
import { Pair } from "../../fields/Pair";
import { filled } from "../../fields/filled";
import { useFeatureAttributes } from "../../fields/sheetConditions";
import { defaults } from "../../generated/defaults";
import { extents } from "../../generated/kinds";
import { isGridded } from "../kinds";
import { useLayout } from "../layout";
import { titleOf } from "../useElements";
import type { KeepFrame } from "./FrameFields";
import { useFrames } from "./useFrames";
import { limits } from "../../generated/limits";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";

type Kind = FrameExtent["kind"];
type Of<K extends Kind> = Extract<FrameExtent, { kind: K }>;

/** Which ground a frame shows, and how large. */
export function ExtentFields({ element, onSave }: { element: InsetKind; onSave: KeepFrame<InsetKind> }) {
  const { role, layout } = useLayout();
  const { placeOf } = useFrames();
  const extent = element.extent ?? (defaults[`${element.kind}_element`].extent as FrameExtent);
  const keep = (fresh: FrameExtent) => onSave({ extent: fresh }, "Extent");
  // What is of one sheet has no meaning on a page that is of none.
  const kinds = extents.filter(
    ([kind]) =>
      role === "sheets" || kind === "whole_index" || kind === "fixed" || kind === "features" || kind === extent.kind,
  );
  const choose = async (kind: Kind) => {
    if (kind === extent.kind) return;
    if (kind === "fixed") {
      const here = await placeOf(element.id);
      return keep({ kind, x: here.x, y: here.y, scale: here.scale });
    }
    if (kind === "detail") {
      const main = layout.elements.find((known) => isGridded(known) && known.id !== element.id);
      return keep({ kind, at_mm: [30, 30], times: 4, ...(main && main.kind !== "map_frame" && { frame: main.id }) });
    }
    return keep({ kind } as FrameExtent);
  };
  return (
    <>
      <Choice label={t("Extent")} value={extent.kind} choices={kinds} onChoose={choose} />
      <OwnFields extent={extent} element={element} onSave={keep} />
      {extent.kind !== "fixed" && extent.kind !== "detail" && <SizeFields extent={extent} onSave={keep} />}
      {extent.kind !== "fixed" && <Rotation extent={extent} onSave={keep} />}
      {role === "sheets" && extent.kind !== "fixed" && extent.kind !== "detail" && (
        <Flag
          label={t("Rotated like the sheet")}
          value={extent.turned_with_sheet ?? false}
          onSave={(turned_with_sheet) => keep({ ...extent, turned_with_sheet: turned_with_sheet || undefined })}
        />
      )}
    </>
  );
}

// The element has a rotation of its own, which turns what is printed; this one turns the ground in it the other way.
function Rotation({ extent, onSave }: { extent: FrameExtent; onSave: (extent: FrameExtent) => Promise<unknown> }) {
  return (
    <Measured
      label={t("Frame rotation, ° clockwise")}
      value={extent.rotation_deg ?? 0}
      limits={limits.fixed_extent.rotation_deg}
      onSave={(rotation_deg) => onSave({ ...extent, rotation_deg: rotation_deg || undefined })}
    />
  );
}

function SizeFields({
  extent,
  onSave,
}: {
  extent: Exclude<FrameExtent, { kind: "fixed" }>;
  onSave: (extent: FrameExtent) => Promise<unknown>;
}) {
  const shown = filled(extent, defaults[`${extent.kind}_extent`]);
  return (
    <Pair>
      <Choice
        label={t("Scale")}
        value={shown.size}
        choices={choices.sheet_extent.size}
        onChoose={(size) =>
          onSave({ ...extent, size, ...(size === "held" ? { scale: extent.scale ?? 25000 } : { scale: undefined }) })
        }
      />
      {shown.size === "held" ? (
        <ScaleField scale={extent.scale ?? 25000} onSave={(scale) => onSave({ ...extent, scale })} />
      ) : (
        <Measured
          label={t("Margin, %")}
          value={shown.margin_percent}
          limits={limits.whole_index_extent.margin_percent}
          onSave={(margin_percent) => onSave({ ...extent, margin_percent })}
        />
      )}
    </Pair>
  );
}

function ScaleField({ scale, onSave }: { scale: number; onSave: (scale: number) => Promise<unknown> }) {
  const { larger, smaller } = nextScales(scale);
  return (
    <Box sx={{ display: "flex", alignItems: "flex-end" }}>
      <Field
        label={t("Fixed scale")}
        value={ratio(scale)}
        onSave={async (text) => {
          const read = readScale(text);
          if (read === null || read < 1) throw new Error(t("Enter a scale, such as 1:25,000."));
          await onSave(read);
        }}
      />
      {[
        { title: t("Next larger standard scale"), mark: "+", to: larger },
        { title: t("Next smaller standard scale"), mark: "−", to: smaller },
      ].map(({ title, mark, to }) => (
        <IconButton
          key={mark}
          size="small"
          aria-label={title}
          title={to ? `${title}: ${ratio(to)}` : title}
          disabled={!to}
          onClick={() => to && void onSave(to).catch(toldElsewhere)}
          sx={{ fontSize: 15, width: 24, height: 28 }}
        >
          {mark}
        </IconButton>
      ))}
    </Box>
  );
}

function OwnFields({
  extent,
  element,
  onSave,
}: {
  extent: FrameExtent;
  element: InsetKind;
  onSave: (extent: FrameExtent) => Promise<unknown>;
}) {
  switch (extent.kind) {
    case "sheet":
      return (
        <Measured
          label={t("Size, × the sheet")}
          value={extent.times ?? defaults.sheet_extent.times}
          limits={limits.sheet_extent.times}
          onSave={(times) => onSave({ ...extent, times })}
        />
      );
    case "neighbours":
      return (
        <Measured
          label={t("Rings of neighbours")}
          value={extent.rings ?? defaults.neighbours_extent.rings}
          limits={limits.neighbours_extent.rings}
          onSave={(rings) => onSave({ ...extent, rings: Math.round(rings) })}
        />
      );
    case "fixed":
      return <FixedFields extent={extent} onSave={onSave} />;
    case "features":
      return <FeaturesFields extent={extent} name={titleOf(element)} onSave={onSave} />;
    case "detail":
      return <DetailFields extent={extent} element={element} onSave={onSave} />;
    default:
      return null;
  }
}

function FixedFields({ extent, onSave }: { extent: Of<"fixed">; onSave: (extent: FrameExtent) => Promise<unknown> }) {
  return (
    <>
      <Pair>
        <Measured
          label={t("Centre easting")}
          value={extent.x}
          limits={limits.fixed_extent.x}
          onSave={(x) => onSave({ ...extent, x })}
        />
        <Measured
          label={t("Centre northing")}
          value={extent.y}
          limits={limits.fixed_extent.y}
          onSave={(y) => onSave({ ...extent, y })}
        />
        <ScaleField scale={extent.scale} onSave={(scale) => onSave({ ...extent, scale })} />
      </Pair>
      <Rotation extent={extent} onSave={onSave} />
    </>
  );
}

function FeaturesFields({
  extent,
  name,
  onSave,
}: {
  extent: Of<"features">;
  name: string;
  onSave: (extent: FrameExtent) => Promise<unknown>;
}) {
  const book = useBook();
  const layers = book.document.layers.filter((layer) => !layer.raster);
  const attributes = useFeatureAttributes(useAttributes(extent.layer).data);
  return (
    <>
      <Choice
        label={t("Of")}
        value={extent.layer ?? ""}
        choices={[["", t("the sheet’s feature")], ...layers.map((layer) => [layer.id, layer.title] as const)]}
        onChoose={(layer) => onSave({ ...extent, layer: layer || undefined, when: undefined })}
      />
      {extent.layer && (
        <ConditionEditor
          about={t("Features of %{name}", { name })}
          attributes={attributes}
          condition={extent.when}
          onSave={(when) => onSave({ ...extent, when: when as Of<"features">["when"] })}
        />
      )}
    </>
  );
}

function DetailFields({
  extent,
  element,
  onSave,
}: {
  extent: Of<"detail">;
  element: InsetKind;
  onSave: (extent: FrameExtent) => Promise<unknown>;
}) {
  const { layout } = useLayout();
  const { detailPlace } = useFrames();
  const frames = layout.elements.filter((known) => isGridded(known) && known.id !== element.id);
  const main = frames.find((known) => known.kind === "map_frame");
  return (
    <>
      <Pair>
        <Choice
          label={t("Detail of")}
          value={extent.frame ?? main?.id ?? ""}
          choices={frames.map((known) => [known.id, titleOf(known)] as const)}
          onChoose={(frame) => onSave({ ...extent, frame: frame === main?.id ? undefined : frame })}
        />
        <Measured
          label={t("Magnification, ×")}
          value={extent.times ?? defaults.detail_extent.times}
          limits={limits.detail_extent.times}
          onSave={(times) => onSave({ ...extent, times })}
        />
      </Pair>
      <Choice
        label={t("Its place")}
        value={extent.at ? "ground" : "frame"}
        choices={[
          ["frame", t("the same in the frame, on every sheet")],
          ["ground", t("a place in coordinates, on its sheets")],
        ]}
        onChoose={async (way) => onSave(await detailPlace(extent, way))}
      />
      {extent.at_mm && (
        <Pair>
          <Measured
            label={t("Centre from left, mm")}
            value={extent.at_mm[0]!}
            limits={limits.detail_extent.at_mm}
            onSave={(x) => onSave({ ...extent, at_mm: [x, extent.at_mm![1]!] })}
          />
          <Measured
            label={t("Centre from top, mm")}
            value={extent.at_mm[1]!}
            limits={limits.detail_extent.at_mm}
            onSave={(y) => onSave({ ...extent, at_mm: [extent.at_mm![0]!, y] })}
          />
        </Pair>
      )}
      {extent.at && (
        <Pair>
          <Measured
            label={t("Centre easting")}
            value={extent.at[0]!}
            limits={limits.detail_extent.at}
            onSave={(x) => onSave({ ...extent, at: [x, extent.at![1]!] })}
          />
          <Measured
            label={t("Centre northing")}
            value={extent.at[1]!}
            limits={limits.detail_extent.at}
            onSave={(y) => onSave({ ...extent, at: [extent.at![0]!, y] })}
          />
        </Pair>
      )}
    </>
  );
}
