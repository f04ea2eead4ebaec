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
      {imposed && <Heading text="PDF" />}
      <Pair>
        <Choice
          label="Standard"
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
          label="Version"
          value={open ? pdf.version : "1.7"}
          choices={
            open
              ? [
                  ["1.7", "1.7"],
                  ["2.0", "2.0"],
                ]
              : [["1.7", exchange ? "1.6, by the standard" : "1.7, by the standard"]]
          }
          onChoose={(version) => change({ version })}
        />
        {!exchange && (
          <Choice
            label="Colours"
            wide
            value={pdf.colours}
            choices={choices.pdf_manner.colours}
            onChoose={(colours) => change({ colours })}
          />
        )}
        {!imposed && (
          <>
            {!exchange && <Flag label="Links" value={pdf.links} onSave={(links) => change({ links })} />}
            <Flag
              label="Georeferenced frames"
              value={pdf.georeferenced}
              onSave={(georeferenced) => change({ georeferenced })}
            />
            <Flag label="Tagged for screen readers" value={pdf.tagged} onSave={(tagged) => change({ tagged })} />
          </>
        )}
        <Flag
          label="Layers that a reader can switch"
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
          <Heading text="Attachments" />
          <Flag label="The book" value={pdf.attach_book} onSave={(attach_book) => change({ attach_book })} />
          <Flag
            label="The data, as GeoPackage"
            value={pdf.attach_data}
            onSave={(attach_data) => change({ attach_data })}
          />
        </>
      )}
      {!exchange && (
        <>
          <Heading text="On opening" />
          <Pair>
            <Choice
              label="Zoom"
              value={pdf.opens_at}
              choices={choices.pdf_manner.opens_at}
              onChoose={(opens_at) => change({ opens_at })}
            />
            <Choice
              label="Side panel"
              value={pdf.panel}
              choices={choices.pdf_manner.panel}
              onChoose={(panel) => change({ panel })}
            />
          </Pair>
        </>
      )}
      <Flag
        label="Linearized, for reading over a network"
        value={pdf.linearized}
        onSave={(linearized) => change({ linearized })}
      />
      {open && (
        <>
          <Heading text="Protection" />
          <Pair>
            <Flag label="A password (AES, 256 bits)" value={pdf.protected} onSave={(on) => change({ protected: on })} />
            {pdf.protected && (
              <>
                <Choice
                  label="Printing allowed"
                  wide
                  value={pdf.printing}
                  choices={choices.pdf_manner.printing}
                  onChoose={(printing) => change({ printing })}
                />
                <Flag label="Changing allowed" value={pdf.changing} onSave={(changing) => change({ changing })} />
                <Flag label="Copying allowed" value={pdf.copying} onSave={(copying) => change({ copying })} />
              </>
            )}
          </Pair>
        </>
      )}
    </>
  );
}
