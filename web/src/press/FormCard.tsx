import { Box } from "@mui/material";
import { Card } from "../frame/Card";
import { GroundFields } from "./GroundFields";
import { ImageFields } from "./ImageFields";
import { ImposedFields } from "./ImposedFields";
import { PdfFields } from "./PdfFields";
import { SvgFields } from "./SvgFields";
import { traits, whole, type FormKind } from "./order";
import type { OrderDraft } from "./useOrder";
import { t } from "../texts/t";

const TITLES: Record<FormKind, string> = {
  pdf_book: t("PDF of the book"),
  pdf_sheets: t("PDF of each sheet"),
  images: "Images",
  svg_sheets: t("SVG drawings"),
  ground: t("Map tiles"),
  imposed: t("Imposed PDF"),
};

/** The details of the form that the book is exported in. */
export function FormCard({ draft }: { draft: OrderDraft }) {
  const { form } = whole(draft.order);
  return (
    <Card help="format" title={TITLES[form.kind]}>
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mb: 1.5 }}>{traits(form.kind).about}</Box>
      {form.kind === "images" && <ImageFields form={form} change={draft.changeForm} />}
      {form.kind === "svg_sheets" && <SvgFields form={form} change={draft.changeForm} />}
      {form.kind === "ground" && <GroundFields form={form} change={draft.changeForm} />}
      {form.kind === "imposed" && <ImposedFields form={form} change={draft.changeForm} />}
      {"pdf" in traits(form.kind) && traits(form.kind).pdf && (
        <PdfFields
          pdf={"pdf" in form ? form.pdf : undefined}
          imposed={form.kind === "imposed"}
          change={(patch) => draft.changeForm({ pdf: { ...("pdf" in form ? form.pdf : {}), ...patch } })}
        />
      )}
    </Card>
  );
}
