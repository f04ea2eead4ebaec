import BackIcon from "@mui/icons-material/ArrowBack";
import LockIcon from "@mui/icons-material/LockOutlined";
import TableIcon from "@mui/icons-material/TableRowsOutlined";
import { Autocomplete, Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useRef } from "react";
import { useBook, useChange } from "../api/book";
import type { Layer } from "../api/types";
import { count, ratio } from "../api/words";
import { readScale } from "../numbers/read";
import { Card, Heading } from "../frame/Card";
import { Percent } from "../fields/Percent";
import { Field } from "../fields/Field";
import type { Arrivals } from "./arrivals";
import { partsOf } from "../api/area";
import { RuleList } from "./RuleList";
import { RuleMaker } from "./RuleMaker";
import { useAttributes, type Attribute } from "../api/useAttributes";
import { ScaleRange } from "../fields/ScaleRange";
import { FileInput } from "../fields/FileInput";
import { besideEndings, dataEndings, pixelEndings } from "../generated/kinds";
import { LayerFiles } from "./LayerFiles";
import { LabelRules } from "../labels/LabelRules";
import { PixelDetails } from "./PixelDetails";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { without } from "../fields/without";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

type Put = (label: string, layer: Layer) => Promise<unknown>;

const NONE: Attribute[] = [];

/** One layer: its name, how it is drawn, when, how it goes out. */
export function LayerDetails({
  layer,
  arrivals,
  onBack,
  onTable,
}: {
  layer: Layer;
  arrivals: Arrivals;
  onBack: () => void;
  onTable: () => void;
}) {
  const book = useBook();
  const { change } = useChange();
  const info = book.layers.find((known) => known.id === layer.id);
  const attributes = useAttributes(layer.id).data ?? NONE;
  const put: Put = (label, fresh) =>
    change(label, { layers: book.document.layers.map((known) => (known.id === layer.id ? fresh : known)) });
  const covers = partsOf(book.document.index.area).some((part) => part.layer === layer.id);
  const remove = () =>
    void change(`Remove ${layer.title}`, {
      layers: book.document.layers.filter((known) => known.id !== layer.id),
    }).then(onBack, () => undefined);
  const unlock = () => void put(`Unlock ${layer.title}`, without(layer, "locked"));
  return (
    <Card help="layer" title={layer.title} note={info && (layer.raster ? t("raster") : count(info.count, "feature"))}>
      <Box sx={{ display: "flex", justifyContent: "space-between", mb: 1 }}>
        <Button startIcon={<BackIcon />} onClick={onBack}>
          {t("All layers")}
        </Button>
        {!layer.raster && (
          <Button startIcon={<TableIcon />} onClick={onTable}>
            {t("Attributes")}
          </Button>
        )}
      </Box>
      {layer.locked ? (
        <Box sx={{ display: "grid", gap: 1, fontSize: 14 }}>
          <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
            {rich(t("<1/> This layer is locked: it cannot be edited or selected on the map."), {
              1: <LockIcon fontSize="small" />,
            })}
          </Box>
          <Button variant="outlined" onClick={unlock}>
            {t("Unlock")}
          </Button>
        </Box>
      ) : (
        <>
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 110px", gap: 1 }}>
            <Field
              label={t("Title")}
              value={layer.title}
              onSave={async (title) => {
                if (title.trim() === "") throw new Error(t("Enter a title."));
                await put(`Rename ${layer.title}`, { ...layer, title: title.trim() });
              }}
            />
            <GroupField layer={layer} put={put} />
          </Box>
          {layer.raster ? (
            <PixelDetails layer={layer} info={info} arrivals={arrivals} put={put} />
          ) : (
            <>
              <Heading text={t("Symbols")} />
              <RuleMaker layer={layer} attributes={attributes} put={put} />
              <Box sx={{ mt: 1 }}>
                <RuleList layer={layer} info={info} attributes={attributes} put={put} />
              </Box>
              <Heading text={t("Labels")} />
              <LabelRules layer={layer} info={info} attributes={attributes} put={put} />
            </>
          )}
          <Heading text={t("Scales and opacity")} />
          <Appearance layer={layer} put={put} />
        </>
      )}
      <Heading text={t("Data")} />
      <Box sx={{ fontSize: 13, color: "text.secondary", overflowWrap: "anywhere" }}>
        {[
          info?.name ? t("From %{name}", { name: info.name }) : null,
          layer.raster ? null : t("imported in %{value}", { value: shortName(info?.original_reference ?? "") }),
        ]
          .filter(Boolean)
          .join("; ")}
      </Box>
      {!layer.locked && <UpdateFromFile layer={layer} arrivals={arrivals} />}
      {!layer.raster && <LayerFiles layer={layer.id} />}
      {!layer.locked && (
        <Box sx={{ display: "flex", gap: 1, mt: 3 }}>
          <Button startIcon={<LockIcon />} onClick={() => void put(`Lock ${layer.title}`, { ...layer, locked: true })}>
            {t("Lock")}
          </Button>
          <Button color="error" onClick={remove} disabled={covers}>
            {t("Remove from the book")}
          </Button>
        </Box>
      )}
      {covers && !layer.locked && (
        <Typography sx={{ fontSize: 12.5, color: "text.secondary" }}>
          {t("It is part of the study area; remove it there first.")}
        </Typography>
      )}
    </Card>
  );
}

// A long definition of its own says enough by its first words.
const shortName = (code: string) => (code.length > 40 ? t("a custom CRS") : code);

function GroupField({ layer, put }: { layer: Layer; put: Put }) {
  const book = useBook();
  const known = [
    ...new Set(book.document.layers.map((other) => other.group).filter((group): group is string => !!group)),
  ];
  const keep = (text: string | null) => {
    const group = (text ?? "").trim().slice(0, 200);
    if (group === (layer.group ?? "")) return;
    void put(`Group of ${layer.title}`, group === "" ? without(layer, "group") : { ...layer, group });
  };
  return (
    <Autocomplete
      freeSolo
      options={known}
      value={layer.group ?? ""}
      onChange={(_, value) => keep(value)}
      onBlur={(event) => keep((event.target as HTMLInputElement).value)}
      renderInput={(params) => <TextField {...params} label={t("Group")} placeholder={t("none")} />}
    />
  );
}

function UpdateFromFile({ layer, arrivals }: { layer: Layer; arrivals: Arrivals }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <FileInput
        ref={input}
        label={t("File with newer data for %{title}", { title: layer.title })}
        accept={(layer.raster ? [...pixelEndings, ...besideEndings, ".zip"] : dataEndings).join(",")}
        multiple={!!layer.raster}
        onFiles={(files) => arrivals.take(layer.raster ? files : files.slice(0, 1), layer.id)}
      />
      <Button variant="outlined" sx={{ mt: 0.5 }} disabled={arrivals.sending} onClick={() => input.current?.click()}>
        {t("Update from a file")}
      </Button>
    </>
  );
}

// How strongly a layer shows, between which scales, with sizes that stay or that follow the ground.
function Appearance({ layer, put }: { layer: Layer; put: Put }) {
  const shown = filled(layer, defaults.layer);
  const book = useBook();
  const design = async (text: string) => {
    const scale = readScale(text);
    if (scale === null || scale <= 0) throw new Error(t("Enter a scale, such as 1:2,500."));
    await put(`Design scale of ${layer.title}`, { ...layer, design_scale: scale });
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr)", gap: 1, alignItems: "end" }}>
      <Percent
        label={t("Layer opacity, %")}
        value={shown.opacity}
        onSave={(opacity) =>
          put(`Opacity of ${layer.title}`, opacity === 1 ? without(layer, "opacity") : { ...layer, opacity })
        }
      />
      <span />
      <ScaleRange
        scales={layer.visible_scales}
        onSave={(scales) =>
          put(
            `Scales of ${layer.title}`,
            scales ? { ...layer, visible_scales: scales } : without(layer, "visible_scales"),
          )
        }
      />
      {!layer.raster && (
        <>
          <TextField
            select
            label={t("Sizes")}
            value={layer.design_scale ? "ground" : (layer.sizes ?? "book")}
            onChange={(event) => {
              const rest = without(without(layer, "design_scale"), "sizes");
              void put(
                `Sizes of ${layer.title}`,
                event.target.value === "ground"
                  ? { ...rest, design_scale: book.document.design_scale ?? book.document.index.scale }
                  : event.target.value === "paper"
                    ? { ...rest, sizes: "paper" }
                    : rest,
              );
            }}
          >
            <MenuItem value="book">
              {book.document.design_scale
                ? t("as the book: %{design_scale}", { design_scale: ratio(book.document.design_scale) })
                : t("as the book (fixed on paper)")}
            </MenuItem>
            <MenuItem value="paper">{t("fixed on paper")}</MenuItem>
            <MenuItem value="ground">{t("scaled with the map")}</MenuItem>
          </TextField>
          {layer.design_scale ? (
            <Field label={t("Sizes correct at")} value={ratio(layer.design_scale)} onSave={design} />
          ) : (
            <span />
          )}
        </>
      )}
    </Box>
  );
}
