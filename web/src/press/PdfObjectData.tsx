import { Box, Checkbox, FormControlLabel } from "@mui/material";
import type { Layer, PdfManner } from "../api/types";
import { useAttributes } from "../api/useAttributes";
import { count } from "../api/words";
import { Fold } from "../frame/Fold";
import { t } from "../texts/t";

type Data = NonNullable<PdfManner["object_data"]>[number];

interface PdfObjectDataProps {
  pdf: { object_data: readonly Data[] | Data[] };
  layers: Layer[];
  change: (patch: Partial<PdfManner>) => Promise<unknown>;
}

/** Layers whose features carry their attributes in the file. */
export function PdfObjectData({ pdf, layers, change }: PdfObjectDataProps) {
  const put = (layer: string, data: Data | null) =>
    void change({
      object_data: [...pdf.object_data.filter((known) => known.layer !== layer), ...(data ? [data] : [])],
    });
  return (
    <Fold
      title={t("Object data%{value}", {
        value: pdf.object_data.length > 0 ? t(" of %{value}", { value: count(pdf.object_data.length, "layer") }) : "",
      })}
    >
      {[...layers].reverse().map((layer) => {
        const data = pdf.object_data.find((known) => known.layer === layer.id);
        return (
          <Box key={layer.id}>
            <FormControlLabel
              control={
                <Checkbox
                  size="small"
                  checked={!!data}
                  onChange={(event) => put(layer.id, event.target.checked ? { layer: layer.id } : null)}
                  sx={{ py: 0.5 }}
                />
              }
              label={layer.title}
            />
            {data && <FieldChoice data={data} onPut={(fields) => put(layer.id, { layer: layer.id, fields })} />}
          </Box>
        );
      })}
    </Fold>
  );
}

function FieldChoice({ data, onPut }: { data: Data; onPut: (fields: string[] | undefined) => void }) {
  const attributes = useAttributes(data.layer).data ?? [];
  const chosen = data.fields ?? attributes.map((attribute) => attribute.name);
  return (
    <Box role="group" aria-label={t("Fields of %{layer}", { layer: data.layer })} sx={{ pl: 3 }}>
      {attributes.map(({ name }) => (
        <FormControlLabel
          key={name}
          control={
            <Checkbox
              size="small"
              checked={chosen.includes(name)}
              onChange={(event) => {
                const fields = attributes
                  .map((attribute) => attribute.name)
                  .filter((known) => (known === name ? event.target.checked : chosen.includes(known)));
                onPut(fields.length === attributes.length ? undefined : fields);
              }}
              sx={{ py: 0.25 }}
            />
          }
          label={name}
        />
      ))}
    </Box>
  );
}
