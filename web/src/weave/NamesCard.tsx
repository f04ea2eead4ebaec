import { useBook } from "../api/book";
import type { IndexPatch } from "../api/indexAnswer";
import type { Index } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { PatternNames } from "./PatternNames";
import { PlaceNameFields } from "./PlaceNameFields";
import { AttributeChoice } from "./SettingsCard";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** The pattern of names, with what it would call the sheets beside what they are called. */
export function NamesSettings({
  index,
  tried,
  onTry,
}: {
  index: Index;
  tried: IndexPatch | null;
  onTry: (patch: IndexPatch) => void;
}) {
  const book = useBook();
  const naming = index.naming ?? {};
  const shown = filled(naming, defaults.index_naming);
  const kind = naming.kind ?? book.naming.kind;
  const set = (patch: Record<string, unknown>) => onTry({ naming: patch } as IndexPatch);
  return (
    <>
      <Choice
        label={t("Sheet names")}
        value={kind}
        choices={choices.index_naming.kind}
        onChoose={async (chosen) => set({ kind: chosen })}
      />
      {kind === "places" && <PlaceNameFields naming={naming} onSet={set} />}
      {kind === "numbers" && (
        <Measured
          label={t("Digits at least")}
          value={shown.digits}
          limits={limits.index_naming.digits}
          onSave={async (digits) => set({ digits: Math.round(digits) })}
        />
      )}
      {kind === "field" && (
        <AttributeChoice
          label={t("Field")}
          index={index}
          value={naming.field}
          onChoose={(attribute) => set({ field: attribute || null })}
        />
      )}
      <Field
        label={t("Prefix")}
        value={shown.prefix}
        placeholder={t("nothing")}
        onSave={async (prefix) => set({ prefix: prefix.slice(0, 40) })}
      />
      <PatternNames tried={tried} />
    </>
  );
}
