import { Box, Button, Checkbox, LinearProgress, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useBook } from "../api/book";
import type { Arrival, ArrivedLayer } from "../api/types";
import { bytes, count } from "../api/words";
import { Card } from "../frame/Card";
import { ReferenceField } from "../reference/ReferenceField";
import type { Arrivals } from "./arrivals";

// What is in a file that has arrived, before any of it is kept.
export function ArrivalCard({ arrival, arrivals }: { arrival: Arrival; arrivals: Arrivals }) {
  const drop = <Button color="inherit" onClick={() => arrivals.drop(arrival)}>{arrival.state === "ready" ? "Drop it" : "Stop"}</Button>;
  return (
    <Card title="A file has arrived">
      <Typography sx={{ fontWeight: 700, overflowWrap: "anywhere" }}>{arrival.name}</Typography>
      <Typography sx={{ fontSize: 13, color: "text.secondary", mb: 1.5 }}>{bytes(arrival.bytes)}</Typography>
      {arrival.state === "inspecting" && <><Typography role="status">Looking into it…</Typography><LinearProgress aria-label="Looking into the file" sx={{ my: 1 }} />{drop}</>}
      {arrival.state === "importing" && (
        <>
          <Typography role="status">{`${count(arrival.done, "feature")} of ${arrival.total} brought in`}</Typography>
          <LinearProgress variant="determinate" value={Math.min((100 * arrival.done) / Math.max(arrival.total, 1), 100)} aria-label="Bringing the file in" sx={{ my: 1, height: 6 }} />
          {drop}
        </>
      )}
      {arrival.state === "ready" && <Report arrival={arrival} arrivals={arrivals} />}
    </Card>
  );
}

function Report({ arrival, arrivals }: { arrival: Arrival; arrivals: Arrivals }) {
  const book = useBook();
  const only = arrival.report.length === 1;
  const [chosen, setChosen] = useState<Record<string, boolean>>(Object.fromEntries(arrival.report.map((layer) => [layer.name, layer.count > 0])));
  const [titles, setTitles] = useState<Record<string, string>>(Object.fromEntries(arrival.report.map((layer) => [layer.name, layer.title])));
  const asks = arrival.report.some((layer) => layer.asks_reference && chosen[layer.name]);
  const [reference, setReference] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const keep = () => {
    const layers = arrival.report.filter((layer) => chosen[layer.name]).map((layer) => ({ name: layer.name, title: titles[layer.name] ?? layer.title }));
    arrivals.keep(arrival, layers, reference).catch((error: Error) => setProblem(error.message));
  };
  return (
    <Box component="form" onSubmit={(event) => { event.preventDefault(); keep(); }}>
      <Typography sx={{ fontSize: 13.5, mb: 1 }}>{only ? "It holds" : `It holds ${arrival.report.length} layers:`}</Typography>
      {arrival.report.map((layer) => (
        <Box key={layer.name} sx={{ borderTop: 1, borderColor: "divider", py: 1 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
            {!only && <Checkbox size="small" sx={{ p: 0.5 }} checked={chosen[layer.name] ?? false} onChange={(event) => setChosen({ ...chosen, [layer.name]: event.target.checked })} slotProps={{ input: { "aria-label": `Bring in ${layer.title}` } }} />}
            <TextField fullWidth value={titles[layer.name] ?? ""} onChange={(event) => setTitles({ ...titles, [layer.name]: event.target.value })} slotProps={{ htmlInput: { "aria-label": `Title of ${layer.title}` } }} />
          </Box>
          <Facts layer={layer} />
        </Box>
      ))}
      {asks && (
        <ReferenceField label="Reference of its coordinates" value={reference} onChange={setReference} help="The file does not say; name, code or place."
          suggestions={[{ code: book.reference.code, name: book.reference.name, reason: "the book’s own" }, { code: "EPSG:4326", name: "WGS 84", reason: "longitude and latitude" }]} />
      )}
      {problem && <Typography role="alert" sx={{ color: "error.main", fontWeight: 600, mt: 1 }}>{problem}</Typography>}
      <Box sx={{ display: "flex", gap: 1, mt: 2 }}>
        <Button type="submit" variant="contained">Bring it in</Button>
        <Button color="inherit" onClick={() => arrivals.drop(arrival)}>Drop it</Button>
      </Box>
    </Box>
  );
}

function Facts({ layer }: { layer: ArrivedLayer }) {
  const corners = layer.box?.map((number) => new Intl.NumberFormat("en-GB", { maximumFractionDigits: Math.abs(number) > 1000 ? 0 : 4 }).format(number));
  return (
    <Box sx={{ fontSize: 13, color: "text.secondary", mt: 0.5, "& dt": { float: "left", clear: "left", mr: 0.75, fontWeight: 600 }, "& dd": { m: 0 } }} component="dl">
      <dt>Features</dt><dd>{count(layer.count, "feature")}, {layer.geometry.toLowerCase()}</dd>
      <dt>Reference</dt><dd>{layer.reference_name ?? (layer.asks_reference ? "not said" : "not said; taken for longitude and latitude")}</dd>
      {corners && <><dt>Extent</dt><dd>{corners[0]}, {corners[1]} to {corners[2]}, {corners[3]}</dd></>}
      {layer.attributes.length > 0 && <><dt>Attributes</dt><dd>{layer.attributes.map((attribute) => `${attribute.name} (${attribute.type})`).join(", ")}</dd></>}
    </Box>
  );
}
