import { useBook } from "../api/book";
import type { PdfManner } from "../api/types";
import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { filled } from "../fields/filled";
import { Heading } from "../frame/Card";
import { defaults } from "../generated/defaults";
import { Pair } from "../fields/Pair";
import { PdfLayers } from "./PdfLayers";
import { PdfObjectData } from "./PdfObjectData";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

interface PdfFieldsProps {
  pdf: PdfManner | undefined;
  // Of pages that lie on others?
  imposed: boolean;
  change: (patch: Partial<PdfManner>) => Promise<unknown>;
}

/** What the PDF carries beside its pages. */
export function PdfFields({ pdf: given, imposed, change }: PdfFieldsProps) {
  const book = useBook();
  const pdf = filled(given, defaults.pdf_manner);
  const exchange = pdf.standard === "pdf_x_4";
  const open = pdf.standard === "none";
  return (
    <>
      {imposed && <Heading text={t("PDF")} />}
      <Pair>
        <Choice
          label={t("Standard")}
          value={pdf.standard}
          choices={choices.pdf_manner.standard}
          onChoose={(standard) =>
            change({
              standard,
              ...(standard !== "none" && { version: undefined, protected: undefined }),
              ...((standard === "pdf_a_2u" || standard === "pdf_x_4") && {
                attach_book: undefined,
                attach_data: undefined,
              }),
            })
          }
        />
        <Choice
          label={t("Version")}
          value={open ? pdf.version : "1.7"}
          choices={
            open
              ? [
                  ["1.7", "1.7"],
                  ["2.0", "2.0"],
                ]
              : [["1.7", exchange ? t("1.6, by the standard") : t("1.7, by the standard")]]
          }
          onChoose={(version) => change({ version })}
        />
        {!exchange && (
          <Choice
            label={t("Colours")}
            wide
            value={pdf.colours}
            choices={choices.pdf_manner.colours}
            onChoose={(colours) => change({ colours })}
          />
        )}
        {!imposed && (
          <>
            {!exchange && <Flag label={t("Links")} value={pdf.links} onSave={(links) => change({ links })} />}
            <Flag
              label={t("Georeferenced frames")}
              value={pdf.georeferenced}
              onSave={(georeferenced) => change({ georeferenced })}
            />
            <Flag label={t("Tagged for screen readers")} value={pdf.tagged} onSave={(tagged) => change({ tagged })} />
          </>
        )}
        <Flag
          label={t("Layers that can be turned on and off")}
          value={pdf.switchable}
          onSave={(switchable) => change({ switchable })}
        />
      </Pair>
      {pdf.switchable && <PdfLayers pdf={pdf} fixed={!open} layers={book.document.layers} change={change} />}
      {!imposed && (
        <PdfObjectData pdf={pdf} layers={book.document.layers.filter((known) => !known.raster)} change={change} />
      )}
      {(open || pdf.standard === "pdf_a_3u") && (
        <>
          <Heading text={t("Attachments")} />
          <Flag label={t("The book")} value={pdf.attach_book} onSave={(attach_book) => change({ attach_book })} />
          <Flag
            label={t("The data, as GeoPackage")}
            value={pdf.attach_data}
            onSave={(attach_data) => change({ attach_data })}
          />
        </>
      )}
      {!exchange && (
        <>
          <Heading text={t("On opening")} />
          <Pair>
            <Choice
              label={t("Zoom")}
              value={pdf.opens_at}
              choices={choices.pdf_manner.opens_at}
              onChoose={(opens_at) => change({ opens_at })}
            />
            <Choice
              label={t("Side panel")}
              value={pdf.panel}
              choices={choices.pdf_manner.panel}
              onChoose={(panel) => change({ panel })}
            />
          </Pair>
        </>
      )}
      <Flag
        label={t("Linearized, for reading over a network")}
        value={pdf.linearized}
        onSave={(linearized) => change({ linearized })}
      />
      {open && (
        <>
          <Heading text={t("Protection")} />
          <Pair>
            <Flag
              label={t("A password (AES, 256 bits)")}
              value={pdf.protected}
              onSave={(on) => change({ protected: on })}
            />
            {pdf.protected && (
              <>
                <Choice
                  label={t("Printing allowed")}
                  wide
                  value={pdf.printing}
                  choices={choices.pdf_manner.printing}
                  onChoose={(printing) => change({ printing })}
                />
                <Flag label={t("Changing allowed")} value={pdf.changing} onSave={(changing) => change({ changing })} />
                <Flag label={t("Copying allowed")} value={pdf.copying} onSave={(copying) => change({ copying })} />
              </>
            )}
          </Pair>
        </>
      )}
    </>
  );
}
