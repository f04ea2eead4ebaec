import { ratio } from "../api/words";
import { readScale } from "../numbers/read";
import { Field } from "./Field";
import { t } from "../texts/t";

export interface ScalesShown {
  largest?: number;
  smallest?: number;
}

/** The scales between which something is drawn. of: what the fields are told apart by, such as " of the labels". */
export function ScaleRange({
  scales = {},
  of = "",
  onSave,
}: {
  scales: ScalesShown | undefined;
  of?: string;
  // Nothing for any scale.
  onSave: (scales: ScalesShown | undefined) => Promise<unknown>;
}) {
  const keep = async (end: keyof ScalesShown, text: string) => {
    const scale = text.trim() === "" ? null : readScale(text);
    if (text.trim() !== "" && (scale === null || scale <= 0)) throw new Error(t("Enter a scale, such as 1:10,000."));
    const fresh = { ...scales, [end]: scale ?? undefined };
    if (scale === null) delete fresh[end];
    await onSave(Object.keys(fresh).length ? fresh : undefined);
  };
  return (
    <>
      <Field
        label={t("Largest scale%{of}", { of })}
        value={scales.largest ? ratio(scales.largest) : ""}
        placeholder={t("any scale")}
        onSave={(text) => keep("largest", text)}
      />
      <Field
        label={t("Smallest scale%{of}", { of })}
        value={scales.smallest ? ratio(scales.smallest) : ""}
        placeholder={t("any scale")}
        onSave={(text) => keep("smallest", text)}
      />
    </>
  );
}
