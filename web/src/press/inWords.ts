import type { Form, PdfManner } from "../api/types";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

const titleOf = (list: readonly (readonly [string, string])[], key: string) =>
  list.find(([known]) => known === key)?.[1] ?? key;

/** What is chosen of a form, in a few words of the statement. */
export function inWords(form: Form): string {
  switch (form.kind) {
    case "images": {
      const image = filled(form, defaults.images_form);
      const parts = [
        t("%{value} of the %{value2}", {
          value: titleOf(choices.images_form.format, image.format),
          value2: image.shows === "frame with border" ? t("frame with its border") : image.shows,
        }),
      ];
      if (image.clear) parts.push(t("clear background"));
      if (image.depth !== "colour") parts.push(image.depth);
      if (image.placed || image.format === "geotiff") parts.push("georeferenced");
      return parts.join(", ");
    }
    case "svg_sheets":
      return form.text === "outlines" ? t("text as outlines") : t("text as text");
    case "ground":
      return form.format === "geopackage" ? "GeoPackage" : "MBTiles";
    case "imposed": {
      const { lay, paper, across, down } = filled(form, defaults.imposed_form);
      if (lay === "booklet") return t("a booklet on %{paper}", { paper });
      return lay === "several on one"
        ? t("%{value} on a side of %{paper}", { value: across * down, paper })
        : t("tiled over %{paper}", { paper });
    }
    default:
      return pdfInWords(form.pdf);
  }
}

function pdfInWords(given: PdfManner | undefined): string {
  const pdf = filled(given, defaults.pdf_manner);
  const parts = [
    pdf.standard === "none"
      ? t("PDF %{version}", { version: pdf.version })
      : titleOf(choices.pdf_manner.standard, pdf.standard),
  ];
  if (pdf.links && pdf.standard !== "pdf_x_4") parts.push("links");
  if (pdf.switchable) parts.push("layers");
  if (pdf.tagged) parts.push("tags");
  if (pdf.object_data.length > 0) parts.push(t("object data"));
  if (pdf.attach_book || pdf.attach_data) parts.push("attachments");
  if (pdf.protected) parts.push(t("a password"));
  return parts.length > 1
    ? t("%{value} and %{value2}", { value: parts.slice(0, -1).join(", "), value2: parts.at(-1) })
    : parts.join("");
}
