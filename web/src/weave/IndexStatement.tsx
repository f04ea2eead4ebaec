import type { ReactNode } from "react";
import { areaInWords } from "../api/area";
import { useBook } from "../api/book";
import type { IndexPatch } from "../api/indexAnswer";
import type { Index } from "../api/types";
import { useAreaAttributes } from "../api/useAttributes";
import { ratio } from "../api/words";
import { readAngle, readScale } from "../numbers/read";
import { written } from "../numbers/written";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { CardValue } from "../statement/CardValue";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import type { Trial } from "./useIndexTrial";
import {
  CORNERS,
  gridInWords,
  KINDS,
  namesInWords,
  ORDERS,
  overlapAsText,
  overlapInWords,
  readGround,
  readOverlap,
  ruleInWords,
  stripInWords,
} from "./words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface IndexStatementProps {
  trial: Trial;
  // The card that is open, and what opens one.
  open: string;
  onOpen: (card: "settings" | "names") => void;
  // What the index comes to.
  answer: ReactNode;
}

/** The index as a sentence, each value of which can be changed. */
export function IndexStatement({ trial, open, onOpen, answer }: IndexStatementProps) {
  const book = useBook();
  const { keep, offer, foretold, problem } = trial;
  const index = book.document.index;
  const shown = filled(index, defaults.index);
  return (
    <Statement answer={answer}>
      {rich(t("Cover <1/> with <2/><3/><4/><5/><6/><7/> (true <8/>)<9/>, named <10/>, and ordered <11/>."), {
        1: (
          <ChoiceValue
            label={t("Study area")}
            value={typeof index.area === "string" ? index.area : ""}
            shown={areaInWords(book)}
            choices={book.document.layers
              .filter((known) => !known.raster)
              .map((layer) => ({ value: layer.id, title: layer.title }))}
            onChoose={(id) => keep("Study area", { area: id })}
          />
        ),
        2: (
          <ChoiceValue
            label={t("Kind of index")}
            value={index.kind}
            choices={[...KINDS]}
            onChoose={(kind) => keep("Kind of index", { kind: kind as "grid", naming: null, order: null })}
          />
        ),
        3: ", ",
        4: (
          <CardValue
            label={t("Placement")}
            shown={
              index.kind === "strip"
                ? stripInWords(index)
                : index.kind === "features"
                  ? ruleInWords(index)
                  : index.kind === "layer"
                    ? t("as they lie")
                    : gridInWords(index)
            }
            open={open === "settings"}
            onOpen={() => onOpen("settings")}
          />
        ),
        5: index.kind === "grid" && (
          <>
            {rich(t(", with a buffer of <1/>"), {
              1: (
                <EntryValue
                  label={t("Buffer around the study area")}
                  shown={shown.buffer}
                  text={shown.buffer}
                  read={readGround}
                  expected={t("Enter a length with its unit, such as 50 m.")}
                  onTry={(buffer) => offer(buffer === null ? null : { buffer })}
                  onSave={(buffer) => keep("Buffer", { buffer })}
                  foretold={foretold}
                  problem={problem}
                />
              ),
            })}
          </>
        ),
        6: (index.kind !== "features" || shown.scale_rule.kind === "fixed") && (
          <>
            {rich(t(", at <1/>"), {
              1: (
                <EntryValue
                  label={t("Scale")}
                  shown={ratio(index.scale)}
                  text={written(index.scale)}
                  unit="1 : n"
                  read={readScale}
                  expected={t("Enter a scale, such as 2500 or 1:2,500.")}
                  onTry={(scale) => offer(scale === null ? null : { scale })}
                  onSave={(scale) => keep("Scale", { scale })}
                  foretold={foretold}
                  problem={problem}
                />
              ),
            })}
          </>
        ),
        7: index.kind === "features" && shown.scale_rule.kind !== "fixed" ? t(", with scales") : "",
        8: (
          <ChoiceValue
            label={t("Where the scale is true")}
            value={shown.held}
            onChoose={(held) => keep("Scale held", { held: held as "projection" | "ellipsoid" })}
            choices={[
              { value: "projection", title: t("on the projection"), note: t("as most printed maps") },
              { value: "ellipsoid", title: t("on the ellipsoid"), note: t("at each sheet’s centre") },
            ]}
          />
        ),
        9: index.kind !== "layer" && (
          <>
            {rich(t(", overlapping by <1/>"), {
              1: (
                <EntryValue
                  label={t("Overlap of neighbours")}
                  shown={overlapInWords(index)}
                  text={overlapAsText(index)}
                  read={readOverlap}
                  expected={t("Enter 8 mm, 5 % or 20 m; or one for each way: 8 mm; 5 mm.")}
                  onTry={(overlap) => offer(overlap === null ? null : { overlap })}
                  onSave={(overlap) => keep("Overlap", { overlap, overlap_mm: null })}
                  foretold={foretold}
                  problem={problem}
                />
              ),
            })}
          </>
        ),
        10: (
          <CardValue
            label={t("Names")}
            shown={namesInWords(book)}
            open={open === "names"}
            onOpen={() => onOpen("names")}
          />
        ),
        11: <OrderValues index={index} onSave={(order) => keep("Order", { order } as IndexPatch)} />,
      })}
    </Statement>
  );
}

// In which order sheets are taken, and where that begins.
function OrderValues({
  index,
  onSave,
}: {
  index: Index;
  onSave: (order: NonNullable<Index["order"]> | Record<string, unknown>) => Promise<unknown>;
}) {
  const { from: corner, start_deg } = filled(index.order, defaults.index_order);
  const order = index.order?.kind ?? (index.kind === "grid" ? "rows" : "as_generated");
  return (
    <>
      <ChoiceValue
        label={t("Order")}
        value={order}
        choices={ORDERS}
        onChoose={(kind) => onSave({ kind, from: corner, field: null })}
      />
      {["rows", "columns", "rows_back_forth", "columns_back_forth"].includes(order) && (
        <>
          {" "}
          {rich(t("from <1/>"), {
            1: (
              <ChoiceValue
                label={t("Begins at")}
                value={corner}
                choices={CORNERS}
                onChoose={(from) => onSave({ kind: order, from: from })}
              />
            ),
          })}
        </>
      )}
      {["clockwise", "counter_clockwise"].includes(order) && (
        <>
          {" "}
          {rich(t("from a bearing of <1/>"), {
            1: (
              <EntryValue
                label={t("Bearing at which it begins")}
                shown={`${start_deg}°`}
                text={String(start_deg)}
                unit="°"
                read={readBearing}
                expected={t("Enter degrees from north, 0 to 360.")}
                onSave={(start_deg) => onSave({ kind: order, start_deg })}
              />
            ),
          })}
        </>
      )}
      {order === "field" && (
        <>
          {" "}
          <AttributeValue index={index} onChoose={(attribute) => onSave({ kind: order, field: attribute })} />
        </>
      )}
    </>
  );
}

// By which attribute of the features sheets are taken.
function AttributeValue({ index, onChoose }: { index: Index; onChoose: (attribute: string) => Promise<unknown> }) {
  const names = useAreaAttributes(index.area);
  return (
    <ChoiceValue
      label={t("Field that sets the order")}
      value={index.order?.field ?? ""}
      shown={index.order?.field ?? t("choose one")}
      choices={names.map((name) => ({ value: name, title: name }))}
      onChoose={onChoose}
    />
  );
}

const readBearing = (text: string) => {
  const bearing = readAngle(text);
  return bearing !== null && bearing >= 0 && bearing <= 360 ? bearing : null;
};
