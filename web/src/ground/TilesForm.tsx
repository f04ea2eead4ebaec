import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { TilesOffer as Offer } from "../generated/answers";
import { t } from "../texts/t";

/** A layer of background tiles: where they come from, and who is to be named for them. */
export function TilesForm({ onDone }: { onDone: () => void }) {
  const book = useBook();
  const { ask } = useChange();
  const [url, setUrl] = useState("");
  const [title, setTitle] = useState("");
  const [attribution, setAttribution] = useState("");
  const [most, setMost] = useState("19");
  const [offers, setOffers] = useState<Offer[] | null>(null);
  const [offer, setOffer] = useState(0);
  const [count, setCount] = useState(0);
  const [problem, setProblem] = useState<string | null>(null);
  const pattern = /\{(z|TileMatrix)\}/.test(url);
  const showProblem = (error: Error) => setProblem(error.message);
  const look = () =>
    post<{ offers: Offer[]; count: number }>(`/api/books/${book.id}/tiles/look`, { url: url.trim() }).then((answer) => {
      const found = answer.offers;
      setProblem(found.length ? null : t("The service has no tiles in a CRS that can be drawn."));
      setOffers(found);
      setCount(answer.count);
      setOffer(0);
      setTitle(found[0]?.title ?? "");
      setAttribution(found[0]?.attribution ?? "");
    }, showProblem);
  const add = () => {
    const chosen = offers?.[offer];
    const tiles = chosen
      ? { ...chosen.source, attribution: attribution.trim() }
      : { url: url.trim(), attribution: attribution.trim(), most_zoom: Number(most) };
    return ask("tiles", { title: title.trim(), tiles }).then(onDone, showProblem);
  };
  return (
    <Box
      component="form"
      aria-label={t("Background tiles")}
      sx={{ display: "grid", gap: 1, border: 1, borderColor: "divider", p: 1, my: 1 }}
      onSubmit={(event) => {
        event.preventDefault();
        setProblem(null);
        void (pattern || offers ? add() : look());
      }}
    >
      <TextField
        label={t("Address")}
        value={url}
        onChange={(event) => {
          setUrl(event.target.value);
          setOffers(null);
        }}
        placeholder={t("https://host/{z}/{x}/{y}.png")}
        helperText={t("With {z}, {x} and {y}, or that of WMTS capabilities")}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {offers && offers.length > 0 && (
        <TextField
          select
          label={t("Tiles")}
          value={offer}
          helperText={
            count > offers.length
              ? t("%{length} of %{countText}: the rest is beyond the list or cannot be drawn", {
                  length: offers.length,
                  countText: count,
                })
              : null
          }
          onChange={(event) => {
            const index = Number(event.target.value);
            setOffer(index);
            setTitle(offers[index]!.title);
            setAttribution(offers[index]!.attribution ?? attribution);
          }}
        >
          {offers.map((known, index) => (
            <MenuItem key={known.title} value={index}>
              {known.title}
            </MenuItem>
          ))}
        </TextField>
      )}
      {(pattern || (offers && offers.length > 0)) && (
        <>
          <TextField label={t("Title")} value={title} onChange={(event) => setTitle(event.target.value)} required />
          <TextField
            label={t("Attribution")}
            value={attribution}
            onChange={(event) => setAttribution(event.target.value)}
            required
            helperText={t("Printed on every sheet that shows the tiles")}
          />
          {pattern && (
            <TextField
              select
              label={t("Maximum zoom level")}
              value={most}
              onChange={(event) => setMost(event.target.value)}
            >
              {Array.from({ length: 25 }, (_, zoom) => (
                <MenuItem key={zoom} value={String(zoom)}>
                  {zoom}
                </MenuItem>
              ))}
            </TextField>
          )}
        </>
      )}
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, fontWeight: 600 }}>
          {problem}
        </Typography>
      )}
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button type="submit" variant="contained" disabled={url.trim() === ""}>
          {pattern || offers ? t("Add the layer") : t("List layers")}
        </Button>
        <Button color="inherit" onClick={onDone}>
          {t("Cancel")}
        </Button>
      </Box>
    </Box>
  );
}
