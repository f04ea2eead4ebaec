import { Box, Button, Checkbox, LinearProgress, Radio, TextField, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useBook } from "../api/book";
import { get } from "../api/client";
import type { Arrival, PixelsInfo } from "../api/types";
import { bytes, count, metres } from "../api/words";
import { ColumnChooser } from "../arrivals/ColumnChooser";
import { Facts } from "../arrivals/Facts";
import { Card } from "../frame/Card";
import { ReferenceField } from "../fields/ReferenceField";
import { ArrivedPixelsFacts } from "../pixels/ArrivedPixelsFacts";
import type { Arrivals } from "./arrivals";
import type { ArrivalPlaces as Places, Place, Ring } from "../generated/answers";
import { written } from "../numbers/written";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

export type { Ring };

/** What is in a file that has arrived, before any of it is kept. onRings: where it would lie on the map. */
export function ArrivalCard({
  arrival,
  arrivals,
  onRings,
}: {
  arrival: Arrival;
  arrivals: Arrivals;
  onRings: (rings: Ring[]) => void;
}) {
  const book = useBook();
  const drop = (
    <Button color="inherit" onClick={() => arrivals.drop(arrival)}>
      {arrival.state === "ready" ? t("Discard") : t("Stop")}
    </Button>
  );
  const replaced = arrival.replaces ? book.document.layers.find((layer) => layer.id === arrival.replaces)?.title : null;
  return (
    <Card help="arrival" title={replaced ? t("New data for %{replaced}", { replaced }) : t("Import a file")}>
      <Typography sx={{ fontWeight: 700, overflowWrap: "anywhere" }}>{arrival.name}</Typography>
      <Typography sx={{ fontSize: 13, color: "text.secondary", mb: 1.5 }}>{bytes(arrival.bytes)}</Typography>
      {arrival.state === "inspecting" && (
        <>
          <Typography role="status">{arrival.reason ?? t("Looking into it…")}</Typography>
          <LinearProgress aria-label={t("Looking into the file")} sx={{ my: 1 }} />
          {drop}
        </>
      )}
      {arrival.state === "importing" && (
        <>
          <Typography role="status">{importing(arrival)}</Typography>
          <LinearProgress
            variant="determinate"
            value={Math.min((100 * arrival.done) / Math.max(arrival.total, 1), 100)}
            aria-label={t("Importing the file")}
            sx={{ my: 1, height: 6 }}
          />
          {drop}
        </>
      )}
      {arrival.state === "ready" && (
        <Report
          key={JSON.stringify(arrival.report.map((layer) => layer.columns))}
          arrival={arrival}
          arrivals={arrivals}
          onRings={onRings}
        />
      )}
    </Card>
  );
}

function Report({
  arrival,
  arrivals,
  onRings,
}: {
  arrival: Arrival;
  arrivals: Arrivals;
  onRings: (rings: Ring[]) => void;
}) {
  const book = useBook();
  const only = arrival.report.length === 1;
  const single = !!arrival.replaces;
  const [chosen, setChosen] = useState<Record<string, boolean>>(
    Object.fromEntries(arrival.report.map((layer, index) => [layer.name, single ? index === 0 : layer.count > 0])),
  );
  const [titles, setTitles] = useState<Record<string, string>>(
    Object.fromEntries(arrival.report.map((layer) => [layer.name, layer.title])),
  );
  const places = useQuery({
    queryKey: ["places", arrival.id, arrival.report],
    queryFn: ({ signal }) => get<Places>(`/api/books/${book.id}/arrivals/${arrival.id}/places`, signal),
    staleTime: Infinity,
  });
  const wanted = arrival.report.filter((layer) => chosen[layer.name]);
  const asks = wanted.some((layer) => layer.asks_reference);
  const lost = wanted.some((layer) => layer.asks_columns);
  const likely = places.data?.[wanted.find((layer) => !layer.reference)?.name ?? ""] ?? [];
  const [reference, setReference] = useState<string | null>(null);
  const code = reference ?? (asks ? (likely[0]?.code ?? "") : "");
  const [takenAs, setTakenAs] = useState<Record<string, PixelsInfo["kind"]>>({});
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    onRings(
      wanted.flatMap((layer) => {
        const list = places.data?.[layer.name] ?? [];
        const place = layer.reference
          ? list[0]
          : (list.find((known) => known.code === code) ?? (code === "" ? list[0] : undefined));
        return place ? [place.ring] : [];
      }),
    );
    return () => onRings([]);
  }, [places.data, JSON.stringify(chosen), code]); // eslint-disable-line react-hooks/exhaustive-deps
  const keep = () => {
    const layers = wanted.map((layer) => ({
      name: layer.name,
      title: titles[layer.name] ?? layer.title,
      ...(layer.pixels ? { taken_as: takenAs[layer.name] ?? layer.pixels.guess } : {}),
    }));
    arrivals
      .keep(arrival, layers, wanted.some((layer) => !layer.reference) ? code : "")
      .catch((error: Error) => setProblem(error.message));
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <Typography sx={{ fontSize: 13.5, mb: 1 }}>
        {only
          ? t("Contents")
          : single
            ? t("%{length} layers; choose one:", { length: arrival.report.length })
            : t("%{length} layers:", { length: arrival.report.length })}
      </Typography>
      {arrival.report.map((layer) => (
        <Box key={layer.name} sx={{ borderTop: 1, borderColor: "divider", py: 1 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
            {!only && !single && (
              <Checkbox
                size="small"
                sx={{ p: 0.5 }}
                checked={chosen[layer.name] ?? false}
                onChange={(event) => setChosen({ ...chosen, [layer.name]: event.target.checked })}
                slotProps={{ input: { "aria-label": t("Import %{title}", { title: layer.title }) } }}
              />
            )}
            {!only && single && (
              <Radio
                size="small"
                sx={{ p: 0.5 }}
                name="layer"
                checked={chosen[layer.name] ?? false}
                onChange={() => setChosen({ [layer.name]: true })}
                slotProps={{ input: { "aria-label": t("Take %{title}", { title: layer.title }) } }}
              />
            )}
            {single ? (
              <b>{layer.title}</b>
            ) : (
              <TextField
                fullWidth
                value={titles[layer.name] ?? ""}
                onChange={(event) => setTitles({ ...titles, [layer.name]: event.target.value })}
                slotProps={{ htmlInput: { "aria-label": t("Title of %{title}", { title: layer.title }) } }}
              />
            )}
          </Box>
          {layer.pixels ? (
            <ArrivedPixelsFacts
              layer={layer}
              takenAs={takenAs[layer.name] ?? layer.pixels.guess}
              onTakenAs={(kind) => setTakenAs({ ...takenAs, [layer.name]: kind })}
            />
          ) : (
            <Facts layer={layer} distance={layer.reference ? places.data?.[layer.name]?.[0]?.distance_m : null} />
          )}
          {(layer.asks_columns || layer.columns) && (
            <ColumnChooser layer={layer} onColumns={(columns) => arrivals.columns(arrival, columns)} />
          )}
        </Box>
      ))}
      {wanted.some((layer) => !layer.reference) && !lost && (
        <Box role="radiogroup" aria-label={t("Where each likely CRS would put it")}>
          <Typography sx={{ fontSize: 13.5, fontWeight: 600 }}>
            {t("The file does not state its CRS. With each of these the data would be")}
          </Typography>
          {likely.map((place) => (
            <Box
              key={place.code}
              component="label"
              sx={{ display: "flex", alignItems: "flex-start", fontSize: 13, cursor: "pointer", py: 0.25 }}
            >
              <Radio
                size="small"
                sx={{ p: 0.25, mr: 0.5 }}
                name="reference"
                value={place.code}
                checked={code === place.code || (!asks && code === "" && place.code === "EPSG:4326")}
                onChange={() => setReference(place.code)}
              />
              <span>
                {rich(t("<1/> with <2/><3/>"), {
                  1: <b>{where(place)}</b>,
                  2: place.name,
                  3: (
                    <Box component="span" sx={{ color: "text.secondary" }}>
                      , {place.reason}
                    </Box>
                  ),
                })}
              </span>
            </Box>
          ))}
          <ReferenceField
            label={t("Another CRS")}
            value={likely.some((place) => place.code === code) ? "" : code}
            onChange={(text) => {
              if (text !== "") setReference(text);
            }}
            help={t("name, code or place")}
            suggestions={[]}
          />
        </Box>
      )}
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontWeight: 600, mt: 1 }}>
          {problem}
        </Typography>
      )}
      <Box sx={{ display: "flex", gap: 1, mt: 2 }}>
        <Button
          type="submit"
          variant="contained"
          disabled={lost || wanted.length === 0 || wanted.some((layer) => layer.pixels && !layer.pixels.located)}
        >
          {single ? t("Update the layer") : t("Import")}
        </Button>
        <Button color="inherit" onClick={() => arrivals.drop(arrival)}>
          {t("Discard")}
        </Button>
      </Box>
    </Box>
  );
}

// How far an import is.
function importing(arrival: Arrival): string {
  const chosen = arrival.report.filter((layer) => layer.count > 0);
  if (arrival.total === 0) return t("%{value} traced", { value: count(arrival.done, "contour") });
  return chosen.some((layer) => layer.pixels)
    ? t("%{value} % of the raster prepared", { value: Math.round((100 * arrival.done) / arrival.total) })
    : t("%{done} of %{value} imported", { done: written(arrival.done), value: count(arrival.total, "feature") });
}

// In words how far from the book's ground something would lie.
function where(place: Place): string {
  if (place.distance_m === null) return "somewhere";
  return place.distance_m < 1
    ? t("on the ground of the book")
    : t("%{distance_m} away", { distance_m: metres(place.distance_m) });
}
