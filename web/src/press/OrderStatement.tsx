import { Button } from "@mui/material";
import type { ReactNode } from "react";
import { useBook } from "../api/book";
import type { Form } from "../api/types";
import { bytes, count } from "../api/words";
import { forms } from "../generated/kinds";
import { CardValue } from "../statement/CardValue";
import { ChoiceValue } from "../statement/ChoiceValue";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";
import { RangeValue } from "./RangeValue";
import { inWords } from "./inWords";
import { pattern, traits, usePpi, whole } from "./order";
import type { OrderDraft } from "./useOrder";
import { asked, readWithin } from "../fields/limits";
import { limits } from "../generated/limits";
import { written } from "../numbers/written";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** "Export all sheets as one PDF at 300 ppi, named …, with …." */
export function OrderStatement({
  draft,
  card,
  onCard,
  children,
}: {
  draft: OrderDraft;
  card: "form" | "palette";
  onCard: (card: "form" | "palette") => void;
  children: ReactNode;
}) {
  const { order, change, plan } = draft;
  const { form } = whole(order);
  const ppi = usePpi(order);
  return (
    <Statement answer={<PlanLine draft={draft} />}>
      {rich(t("Export <1/> as <2/> at <3/>, named <4/>, <5/><6/>.<7/>"), {
        1: <RangeValue draft={draft} />,
        2: (
          <ChoiceValue
            label={t("Format")}
            value={form.kind}
            choices={forms.map(([value, title]) => ({ value, title, note: traits(value).about }))}
            onChoose={(kind) => change({ form: { kind } as Form, file_name: undefined })}
          />
        ),
        3: (
          <EntryValue
            label={t("Resolution")}
            shown={t("%{ppi} ppi", { ppi })}
            text={written(ppi)}
            unit="ppi"
            read={(text) => readWithin(text, limits.order.ppi, " ppi")}
            expected={asked(limits.order.ppi, " ppi")}
            onSave={(value) => change({ ppi: value })}
            foretold={t("Pixels per inch: of images, and of rasters in other files")}
          />
        ),
        4: (
          <EntryValue
            label={t("Names of the files")}
            shown={pattern(order)}
            text={pattern(order)}
            read={(text) => text.trim()}
            expected=""
            onSave={(text) => change({ file_name: text || undefined })}
            foretold={
              plan.data?.names[0]
                ? t("For example %{names}", { names: plan.data.names[0] })
                : t("Live text, such as {{ sheet.name }} or {{ file.counter }}")
            }
          />
        ),
        5: (
          <CardValue label={t("Details")} shown={inWords(form)} open={card === "form"} onOpen={() => onCard("form")} />
        ),
        6: traits(form.kind).pdf && (
          <>
            {rich(t(", in <1/>"), {
              1: (
                <CardValue
                  label={t("Colours")}
                  shown={coloursOf(form)}
                  open={card === "palette"}
                  onOpen={() => onCard("palette")}
                />
              ),
            })}
          </>
        ),
        7: children,
      })}
    </Statement>
  );
}

const coloursOf = (form: Form) =>
  "pdf" in form && (form.pdf?.colours === "press" || form.pdf?.standard === "pdf_x_4")
    ? t("CMYK and spot colours")
    : "RGB";

// What the order would come to, or why it cannot be made.
function PlanLine({ draft: { plan, change } }: { draft: OrderDraft }) {
  const book = useBook();
  if (book.cells.length === 0) return <>{t("There are no sheets yet; generate an index first.")}</>;
  if (plan.error)
    return (
      <>
        <span role="alert">{plan.error.message}</span>{" "}
        {plan.error.choices?.map(({ text, says }) => (
          <Button
            key={text}
            size="small"
            variant="outlined"
            sx={{ ml: 1 }}
            onClick={() => void change({ sheets: text })}
          >
            {says.replace(/^./, (letter) => letter.toUpperCase())}
          </Button>
        ))}
      </>
    );
  if (!plan.data) return <>{t("Estimating size and time…")}</>;
  const { files, pixels, notices } = plan.data;
  return (
    <>
      {rich(t("<1/><2/>, about <3/>, ready in about <4/>.<5/>"), {
        1: <b>{count(files, "file")}</b>,
        2: pixels && t(" of up to %{value} px", { value: pixels.map((side) => written(side)).join(" × ") }),
        3: bytes(plan.data.bytes),
        4: time(plan.data.seconds),
        5: notices.length > 0 && ` ${notices.join(" ")}`,
      })}
    </>
  );
}

const time = (seconds: number) =>
  seconds < 90 ? `${Math.max(Math.round(seconds), 1)} s` : t("%{value} min", { value: Math.round(seconds / 60) });
