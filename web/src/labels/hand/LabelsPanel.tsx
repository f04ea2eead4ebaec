import { Box, Button } from "@mui/material";
import type { LabelByHand } from "../../api/types";
import { count } from "../../api/words";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Choice } from "../../fields/Choice";
import { Field } from "../../fields/Field";
import { Flag } from "../../fields/Flag";
import { Heading } from "../../frame/Card";
import { Measured } from "../../fields/Measured";
import { BookLabels } from "./BookLabels";
import { keyOf, type Labels, type PlacedLabel } from "./useLabels";
import { limits } from "../../generated/limits";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

// What an entry is about, by the label that the page has of it, if it has one.
const about = (entry: LabelByHand) =>
  entry.text?.split("\n")[0] ||
  entry.feature.value ||
  entry.feature.text ||
  t("feature %{feature}", { feature: entry.feature.id });

const done = (entry: LabelByHand) =>
  [
    entry.hidden && t("hidden"),
    (entry.offset_mm || entry.at) && t("moved"),
    entry.rotation_deg !== undefined && t("rotated"),
    entry.text !== undefined && t("other text"),
  ]
    .filter(Boolean)
    .join(", ");

/** The labels of a page: marks on it, the one that is selected, those that have no room, those that are by hand. */
export function LabelsPanel({
  labels,
  shown,
  onShown,
  picked,
  onPick,
}: {
  labels: Labels;
  shown: boolean;
  onShown: (shown: boolean) => void;
  picked: string | null;
  onPick: (key: string | null) => void;
}) {
  const data = labels.labels;
  const label = data?.placed.find((known) => keyOf(known) === picked);
  return (
    <>
      <Heading text={t("Labels")} />
      <Flag
        label={t("Edit the labels on the page")}
        value={shown}
        onSave={(value) => {
          onShown(value);
          onPick(null);
          return Promise.resolve();
        }}
      />
      {shown && data && !label && (
        <Box sx={{ fontSize: 13, color: "text.secondary" }}>
          {data.to_ground
            ? t("Click a label to select it; drag it, or use the arrow keys.")
            : t("The labels of this page cannot be moved by hand.")}
        </Box>
      )}
      {shown && label && <PickedLabel key={picked} labels={labels} label={label} />}
      {shown && data && data.unplaced.length > 0 && (
        <Box component="section" aria-label={t("Unplaced labels")} sx={{ mt: 1, fontSize: 13 }}>
          <b>{rich(t("<1/> unplaced"), { 1: count(data.unplaced.length, "label") })}</b>
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
            {data.unplaced.map((label, index) => (
              <li key={index}>
                {label.text}{" "}
                <Box component="span" sx={{ color: "text.secondary" }}>
                  {label.layer}
                </Box>
              </li>
            ))}
          </Box>
        </Box>
      )}
      {shown && data && <ByHand labels={labels} placed={data.placed} />}
      {shown && <BookLabels />}
    </>
  );
}

// What was done to labels of the page by hand; what is said of all sheets is listed where the page shows the label, or
// would show it if it were not hidden.
function ByHand({ labels, placed }: { labels: Labels; placed: PlacedLabel[] }) {
  const { name, here } = labels;
  const texts = new Map(placed.map((label) => [keyOf(label), label.text]));
  const listed = here.filter((entry) => entry.sheet === name || entry.hidden || texts.has(keyOf(entry)));
  const title = (entry: LabelByHand) => texts.get(keyOf(entry)) ?? about(entry);
  const elsewhere = here.length - listed.length;
  if (here.length === 0) return null;
  return (
    <Box component="section" aria-label={t("Labels by hand")} sx={{ mt: 1, fontSize: 13 }}>
      <b>{rich(t("<1/> by hand"), { 1: count(listed.length, "label") })}</b>
      {elsewhere > 0 && t(" here; %{elsewhere} on other sheets", { elsewhere })}
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none" }}>
        {listed.map((entry) => (
          <Box component="li" key={JSON.stringify(entry)} sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
            <span>
              {title(entry)}{" "}
              <Box component="span" sx={{ color: "text.secondary" }}>
                {done(entry)}
                {entry.sheet === undefined ? t(", on all sheets") : ""}
              </Box>
            </span>
            <Button
              sx={{ ml: "auto", py: 0, minHeight: 24 }}
              aria-label={t("Reset %{entry}", { entry: title(entry) })}
              onClick={() => void labels.reset([entry], `Reset the label ${title(entry)}`).catch(toldElsewhere)}
            >
              {t("Reset")}
            </Button>
          </Box>
        ))}
      </Box>
      {listed.length > 1 && (
        <Button onClick={() => void labels.reset(listed, "Reset the labels of a page").catch(toldElsewhere)}>
          {t("Reset all of these")}
        </Button>
      )}
    </Box>
  );
}

// What can be done to one label.
function PickedLabel({ labels, label }: { labels: Labels; label: PlacedLabel }) {
  const own = labels.own(label);
  const edit = (patch: Partial<LabelByHand>, words: string) => labels.edit(label, patch, words);
  const { placed } = labels;
  const fixed = !!(own?.offset_mm ?? own?.at);
  return (
    <Box sx={{ display: "grid", gap: 1, mt: 0.5, pl: 1, borderLeft: 2, borderColor: "thread.main" }}>
      <Box sx={{ fontSize: 14 }}>
        <b>{label.text}</b>{" "}
        <Box component="span" sx={{ color: "text.secondary" }}>
          {label.layer_title}
        </Box>
      </Box>
      <Field
        label={t("Text by hand")}
        value={own?.text ?? ""}
        placeholder={label.text}
        multiline
        onSave={(text) => edit({ text: text.trim() === "" ? undefined : text }, "Text of the label")}
      />
      <Measured
        label={t("Rotation, ° clockwise")}
        value={own?.rotation_deg ?? 0}
        limits={limits.label_by_hand.rotation_deg}
        onSave={(rotation_deg) =>
          edit(
            {
              rotation_deg: rotation_deg === 0 ? undefined : rotation_deg,
              ...(!fixed && placed(label, label.middle)),
            },
            "Rotate the label",
          )
        }
      />
      <Choice
        label={t("Applies to")}
        value={own === undefined || own.sheet !== undefined ? "here" : "all"}
        choices={[
          ["here", t("this sheet")],
          ["all", t("every sheet that shows it")],
        ]}
        onChoose={(where) =>
          where === "here"
            ? edit({}, "Label of this sheet alone:")
            : edit({ sheet: undefined, ...(!own && placed(label, label.middle)) }, "Label of all sheets:")
        }
      />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
        {!fixed && (
          <Button onClick={() => void edit(placed(label, label.middle), "Fix the position of the label")}>
            {t("Fix position")}
          </Button>
        )}
        <Button onClick={() => void edit({ hidden: true }, "Hide the label")}>{t("Hide")}</Button>
        {own && <Button onClick={() => void labels.reset([own], `Reset the label ${label.text}`)}>{t("Reset")}</Button>}
      </Box>
    </Box>
  );
}
