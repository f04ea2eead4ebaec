import { useBook } from "../api/book";
import { ratio } from "../api/words";
import { readScale } from "../numbers/read";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { Pair } from "../fields/Pair";
import type { FormOf } from "./order";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** In which format the ground goes out, and at which scale it is drawn. */
export function GroundFields({
  form,
  change,
}: {
  form: FormOf<"ground">;
  change: (patch: Partial<FormOf<"ground">>) => Promise<unknown>;
}) {
  const book = useBook();
  const ground = filled(form, defaults.ground_form);
  return (
    <Pair>
      <Choice
        label={t("Format")}
        value={ground.format}
        choices={choices.ground_form.format}
        onChoose={(format) => change({ format })}
      />
      <Field
        label={t("Drawn at scale")}
        value={ratio(form.scale ?? book.document.index.scale)}
        onSave={async (text) => {
          const scale = readScale(text);
          if (scale === null || scale < 1) throw new Error(t("Enter a scale, such as 1:10,000."));
          await change({ scale });
        }}
      />
    </Pair>
  );
}
