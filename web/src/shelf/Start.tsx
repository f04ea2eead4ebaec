import { Box, Button, Checkbox, LinearProgress, MenuItem, Radio, TextField, Typography } from "@mui/material";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState, type FormEvent } from "react";
import { get, post, Refusal, upload } from "../api/client";
import type { Arrival } from "../api/types";
import { bytes, count, ratio, readScale } from "../api/words";
import { ColumnChooser } from "../arrivals/ColumnChooser";
import { Facts } from "../arrivals/Facts";
import { ReferenceField, type Suggestion } from "../fields/ReferenceField";
import { paper, useArrival } from "./arrive";
import { FileInput } from "../fields/FileInput";
import { dataEndings, pageSizes } from "../generated/kinds";

// A file that a book is to be made of; book: its number once it is made.
interface Started extends Arrival {
  book: number | null;
  suggestions: Suggestion[];
}

interface Proposal {
  suggestions: Suggestion[];
  reference?: { code: string; name: string };
  scales?: { scale: number; count: number | null }[];
  proposed?: number;
  about?: boolean;
  problem?: string;
}

const waits = (start: Started | undefined) => start?.state === "inspecting" || start?.state === "importing";

// A book from a file of any kind that Ground imports: it is looked into, a scale is proposed, the book is made.
export function Start({ onProblem }: { onProblem: (text: string | null) => void }) {
  const client = useQueryClient();
  const arrive = useArrival();
  const input = useRef<HTMLInputElement>(null);
  const [id, setId] = useState<number | null>(null);
  const start = useQuery({
    queryKey: ["start", id],
    queryFn: ({ signal }) => get<Started>(`/api/starts/${id}`, signal),
    enabled: id !== null,
    refetchInterval: (state) => (waits(state.state.data) ? 400 : false),
  });
  const keep = (fresh: Started) => client.setQueryData(["start", fresh.id], fresh);
  const sending = useMutation<Started, Refusal, File>({
    mutationFn: (file) => upload<Started>("/api/starts", file),
    onSuccess: (fresh) => {
      keep(fresh);
      setId(fresh.id);
    },
    onError: (error, file) => onProblem(`${file.name} cannot be used. ${error.message}`),
  });
  const drop = () => {
    if (id !== null) void post(`/api/starts/${id}/cancel`, {}).catch(() => undefined);
    setId(null);
  };
  const made = start.data?.state === "done" ? start.data.book : null;
  useEffect(() => {
    if (made !== null && made !== undefined) void arrive({ id: made });
  }, [made]); // eslint-disable-line react-hooks/exhaustive-deps
  const data = id === null ? undefined : start.data;
  return (
    <Box component="section" aria-labelledby="start-title" sx={{ ...paper, display: "grid", gap: 1.5 }}>
      <Typography component="h2" variant="h2" id="start-title">
        Start a book
      </Typography>
      <FileInput
        ref={input}
        label="Data file of the new book"
        accept={dataEndings.join(",")}
        onFiles={([file]) => {
          onProblem(null);
          if (file) sending.mutate(file);
        }}
      />
      {!data && (
        <>
          <Box sx={{ fontSize: 13.5, color: "text.secondary" }}>From a data file: {dataEndings.join(", ")}.</Box>
          <Button variant="outlined" disabled={sending.isPending} onClick={() => input.current?.click()}>
            {sending.isPending ? "Sending…" : "Choose a data file"}
          </Button>
        </>
      )}
      {data && (
        <Typography sx={{ fontWeight: 700, overflowWrap: "anywhere" }}>
          {data.name}{" "}
          <Box component="span" sx={{ fontWeight: 400, color: "text.secondary" }}>
            {bytes(data.bytes)}
          </Box>
        </Typography>
      )}
      {data?.state === "inspecting" && (
        <>
          <Typography role="status">Looking into it…</Typography>
          <LinearProgress aria-label="Looking into the file" />
          <Button color="inherit" onClick={drop}>
            Stop
          </Button>
        </>
      )}
      {(data?.state === "importing" || data?.state === "done") && (
        <>
          <Typography role="status">{`Making the book: ${count(data.done, "feature")} of ${data.total}`}</Typography>
          <LinearProgress
            variant="determinate"
            value={Math.min((100 * data.done) / Math.max(data.total, 1), 100)}
            aria-label="Making the book"
            sx={{ height: 6 }}
          />
          <Button color="inherit" onClick={drop}>
            Stop
          </Button>
        </>
      )}
      {(data?.state === "failed" || data?.state === "cancelled") && (
        <>
          <Typography role="alert" sx={{ color: "error.main", fontWeight: 600 }}>
            {data.reason ?? "Stopped."}
          </Typography>
          <Button variant="outlined" onClick={() => setId(null)}>
            Choose another file
          </Button>
        </>
      )}
      {data?.state === "ready" && (
        <Review
          key={`${data.id} ${JSON.stringify(data.report.map((layer) => layer.columns))}`}
          start={data}
          onStarted={keep}
          onDrop={drop}
        />
      )}
    </Box>
  );
}

// What is in the file, and what is to become of it.
function Review({
  start,
  onStarted,
  onDrop,
}: {
  start: Started;
  onStarted: (fresh: Started) => void;
  onDrop: () => void;
}) {
  const only = start.report.length === 1;
  const [chosen, setChosen] = useState<Record<string, boolean>>(
    Object.fromEntries(start.report.map((layer) => [layer.name, layer.count > 0])),
  );
  const [titles, setTitles] = useState<Record<string, string>>(
    Object.fromEntries(start.report.map((layer) => [layer.name, layer.title])),
  );
  const [area, setArea] = useState(
    start.report.find((layer) => layer.count > 0 && /polygon/i.test(layer.geometry))?.name ??
      start.report.find((layer) => layer.count > 0)?.name ??
      "",
  );
  const [fileReference, setFileReference] = useState("");
  const [reference, setReference] = useState("");
  const [title, setTitle] = useState("");
  const [page, setPage] = useState({ size: "A3", orientation: "landscape" });
  const [scale, setScale] = useState<string | null>(null);
  const wanted = start.report.filter((layer) => chosen[layer.name]);
  const asks = wanted.some((layer) => layer.asks_reference);
  const lost = wanted.some((layer) => layer.asks_columns);
  const body = {
    layers: wanted.map((layer) => ({ name: layer.name, title: titles[layer.name] ?? layer.title })),
    area,
    file_reference: fileReference,
    reference,
    page,
  };
  const proposal = useQuery<Proposal, Refusal>({
    queryKey: ["proposal", start.id, body],
    queryFn: ({ signal }) => post<Proposal>(`/api/starts/${start.id}/proposal`, body, { signal }),
    enabled: wanted.length > 0 && !lost && (!asks || fileReference !== ""),
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
  const proposed = proposal.data?.proposed;
  const text = scale ?? (proposed ? ratio(proposed) : "");
  const denominator = readScale(text);
  const making = useMutation<Started, Refusal>({
    mutationFn: () => post<Started>(`/api/starts/${start.id}/book`, { ...body, title, scale: denominator }),
    onSuccess: onStarted,
  });
  const problem = making.error?.message ?? start.reason ?? proposal.data?.problem ?? proposal.error?.message;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    making.mutate();
  };
  return (
    <Box component="form" aria-label="The new book" onSubmit={submit} sx={{ display: "grid", gap: 1.5 }}>
      {start.report.map((layer) => (
        <Box key={layer.name} sx={{ borderTop: 1, borderColor: "divider", pt: 1 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
            {!only && (
              <Checkbox
                size="small"
                sx={{ p: 0.5 }}
                checked={chosen[layer.name] ?? false}
                onChange={(event) => setChosen({ ...chosen, [layer.name]: event.target.checked })}
                slotProps={{ input: { "aria-label": `Import ${layer.title}` } }}
              />
            )}
            <TextField
              fullWidth
              value={titles[layer.name] ?? ""}
              onChange={(event) => setTitles({ ...titles, [layer.name]: event.target.value })}
              slotProps={{ htmlInput: { "aria-label": `Title of ${layer.title}` } }}
            />
          </Box>
          <Facts layer={layer} brief={!only} />
          {(layer.asks_columns || layer.columns) && (
            <ColumnChooser
              layer={layer}
              onColumns={(columns) => post<Started>(`/api/starts/${start.id}/columns`, { columns }).then(onStarted)}
            />
          )}
        </Box>
      ))}
      {asks && !lost && (
        <ReferenceField
          label="CRS of the file"
          value={fileReference}
          onChange={setFileReference}
          suggestions={[]}
          help={`${start.name} does not say its CRS; name, code or place`}
        />
      )}
      {wanted.length > 1 && (
        <TextField
          select
          label="Study area"
          value={wanted.some((layer) => layer.name === area) ? area : ""}
          onChange={(event) => setArea(event.target.value)}
          helperText="what the sheets must cover"
        >
          {wanted.map((layer) => (
            <MenuItem key={layer.name} value={layer.name}>
              {titles[layer.name] ?? layer.title}
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField
        label="Title"
        value={title}
        onChange={(event) => setTitle(event.target.value)}
        helperText="the file’s name where left empty"
      />
      <ReferenceField
        value={reference}
        onChange={setReference}
        suggestions={proposal.data?.suggestions ?? start.suggestions}
        help={proposal.data?.reference ? `${proposal.data.reference.name} where left empty` : "name, code or place"}
      />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
        <TextField
          select
          label="Page"
          value={page.size}
          onChange={(event) => setPage({ ...page, size: event.target.value })}
        >
          {pageSizes.map((size) => (
            <MenuItem key={size} value={size}>
              {size}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="Orientation"
          value={page.orientation}
          onChange={(event) => setPage({ ...page, orientation: event.target.value })}
        >
          <MenuItem value="landscape">landscape</MenuItem>
          <MenuItem value="portrait">portrait</MenuItem>
        </TextField>
      </Box>
      {proposal.data?.scales && (
        <Box role="radiogroup" aria-label="Scale and number of sheets" sx={{ opacity: proposal.isFetching ? 0.6 : 1 }}>
          {proposal.data.scales.map((entry) => (
            <Box
              key={entry.scale}
              component="label"
              sx={{
                display: "flex",
                alignItems: "center",
                fontSize: 14,
                cursor: entry.count === null ? "default" : "pointer",
              }}
            >
              <Radio
                size="small"
                sx={{ p: 0.25, mr: 0.75 }}
                name="scale"
                value={entry.scale}
                disabled={entry.count === null}
                checked={denominator === entry.scale}
                onChange={() => setScale(ratio(entry.scale))}
              />
              <Box component="span" sx={{ width: 96, fontWeight: entry.scale === proposed ? 700 : 400 }}>
                {ratio(entry.scale)}
              </Box>
              <span>
                {entry.count === null
                  ? "too many sheets"
                  : `${proposal.data.about ? "about " : ""}${count(entry.count, "sheet")}`}
                {entry.scale === proposed ? ", proposed" : ""}
              </span>
            </Box>
          ))}
        </Box>
      )}
      <TextField
        label="Scale"
        value={text}
        onChange={(event) => setScale(event.target.value)}
        error={text !== "" && denominator === null}
        helperText={
          text !== "" && denominator === null
            ? "Write a scale, such as 2500 or 1:2,500."
            : "any scale; it can be changed on Weave"
        }
      />
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontWeight: 600 }}>
          {problem}
        </Typography>
      )}
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button
          type="submit"
          variant="contained"
          color="secondary"
          disabled={wanted.length === 0 || lost || denominator === null || making.isPending}
        >
          {making.isPending ? "Starting…" : "Start the book"}
        </Button>
        <Button color="inherit" onClick={onDrop}>
          Discard the file
        </Button>
      </Box>
    </Box>
  );
}
