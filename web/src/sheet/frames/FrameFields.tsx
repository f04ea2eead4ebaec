import { Box } from "@mui/material";
import { useBook } from "../../api/book";
import type { GriddedElement, InsetKind } from "../../api/types";
import { Choice } from "../../fields/Choice";
import { Field } from "../../fields/Field";
import { Flag } from "../../fields/Flag";
import { Heading } from "../../frame/Card";
import { Fold } from "../../frame/Fold";
import { MapLabelsPanel } from "../../labels/hand/MapLabels";
import { NotesPanel } from "../../notes/NotesPanel";
import { FillFields } from "../../fields/FillFields";
import { ShadowFields } from "../PanelFields";
import { isFrame, whole } from "../kinds";
import { CellsFields } from "./CellsFields";
import { ExtentFields } from "./ExtentFields";
import { FrameReference } from "./FrameReference";
import { OutlineFields } from "./OutlineFields";
import { ShapeFields } from "./ShapeFields";
import { VeilFields } from "./VeilFields";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";

export type KeepFrame<E extends GriddedElement = GriddedElement> = (
  patch: Partial<E>,
  label?: string,
) => Promise<unknown>;

const isInset = (element: GriddedElement): element is InsetKind => element.kind !== "map_frame";

/** What a frame shows: which ground in which reference, which layers, and what lies over them. */
export function FrameFields({ element, onSave }: { element: GriddedElement; onSave: KeepFrame }) {
  const shown = whole(element);
  const globe = isInset(element) && !!element.globe;
  return (
    <>
      {isInset(element) && (
        <>
          <Heading text={t("Map")} />
          <Box sx={{ display: "grid", gap: 1 }}>
            <FrameReference element={element} onSave={onSave as KeepFrame<InsetKind>} />
            {!globe && <ExtentFields element={element} onSave={onSave as KeepFrame<InsetKind>} />}
          </Box>
        </>
      )}
      <Heading text={t("Layers")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        <LookChoice value={element.look} onSave={(look) => onSave({ look }, "Look")} />
        <Choice
          label={t("Shows")}
          value={shown.layers}
          choices={choices.map_frame_element.layers}
          onChoose={(layers) => onSave({ layers }, "Layers")}
        />
        <Flag
          label={t("Labels of the layers")}
          value={shown.labels}
          onSave={(labels) => onSave({ labels }, "Labels")}
        />
      </Box>
      {(element.kind === "map_frame" || element.kind === "index_frame") && (
        <>
          <MapLabelsPanel />
          <NotesPanel />
        </>
      )}
      <Fold title={t("Cells of the index")}>
        <CellsFields element={element} onSave={onSave} />
      </Fold>
      <Fold title={t("Veil")}>
        <VeilFields veil={element.veil} onSave={(veil) => onSave({ veil }, "Veil")} />
      </Fold>
      <Fold title={t("Outlines of other frames")}>
        <OutlineFields element={element} onSave={onSave} />
      </Fold>
      <Fold title={t("Shape and backing")}>
        <Box sx={{ display: "grid", gap: 1 }}>
          {!isFrame(element) && !globe && (
            <ShapeFields shape={element.shape} onSave={(shape) => onSave({ shape }, "Shape")} />
          )}
          <Flag
            label={t("Background colour")}
            value={!!element.fill}
            onSave={(on) => onSave({ fill: on ? { colour: "#ffffff" } : undefined }, "Backing")}
          />
          {element.fill && <FillFields fill={element.fill} onSave={(fill) => onSave({ fill }, "Backing")} />}
          <ShadowFields shadow={element.shadow} onSave={(shadow) => onSave({ shadow }, "Shadow")} />
          {element.kind === "inset" && (
            <Field
              label={t("Letter")}
              value={element.letter ?? ""}
              placeholder={t("none")}
              onSave={(letter) => onSave({ letter: letter.trim() || undefined }, "Letter")}
            />
          )}
        </Box>
      </Fold>
    </>
  );
}

// One of the book's looks, or the layers as they are on Ground.
function LookChoice({
  value,
  onSave,
}: {
  value: string | undefined;
  onSave: (look: string | undefined) => Promise<unknown>;
}) {
  const book = useBook();
  const looks = (book.document.looks ?? []).filter((look) => look.id !== undefined);
  return (
    <Choice
      label={t("Look")}
      value={value ?? ""}
      choices={[["", t("as on Ground")], ...looks.map((look) => [look.id!, look.title] as const)]}
      onChoose={(look) => onSave(look || undefined)}
    />
  );
}
