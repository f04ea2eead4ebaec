import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { Refusal, post } from "../api/client";
import { ratio } from "../api/words";
import { readScale } from "../numbers/read";
import { ReferenceField } from "../fields/ReferenceField";
import { ChosenLayers } from "./ChosenLayers";
import { PageFields } from "./PageFields";
import { ProposedScales } from "./ProposedScales";
import type { Proposal, Started } from "./started";
import { t } from "../texts/t";

/** What is in the file, and what is to become of it. */
export function Review({
  start,
  onStarted,
  onDrop,
}: {
  start: Started;
  onStarted: (fresh: Started) => void;
  onDrop: () => void;
}) {
  const [chosen, setChosen] = useState<Record<string, boolean>>(
    Object.fromEntries(start.report.map((layer) => [layer.name, layer.count > 0])),
  );
  const [titles, setTitles] = useState<Record<string, string>>(
    Object.fromEntries(start.report.map((layer) => [layer.name, layer.title])),
  );
  const [area, setArea] = useState(start.area ?? "");
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
    <Box component="form" aria-label={t("The new book")} onSubmit={submit} sx={{ display: "grid", gap: 1.5 }}>
      <ChosenLayers
        start={start}
        chosen={chosen}
        titles={titles}
        onChoose={setChosen}
        onTitle={setTitles}
        onStarted={onStarted}
      />
      {asks && !lost && (
        <ReferenceField
          label={t("CRS of the file")}
          value={fileReference}
          onChange={setFileReference}
          suggestions={[]}
          help={t("%{name} does not say its CRS; name, code or place", { name: start.name })}
        />
      )}
      {wanted.length > 1 && (
        <TextField
          select
          label={t("Study area")}
          value={wanted.some((layer) => layer.name === area) ? area : ""}
          onChange={(event) => setArea(event.target.value)}
          helperText={t("what the sheets must cover")}
        >
          {wanted.map((layer) => (
            <MenuItem key={layer.name} value={layer.name}>
              {titles[layer.name] ?? layer.title}
            </MenuItem>
          ))}
        </TextField>
      )}
      <TextField
        label={t("Title")}
        value={title}
        onChange={(event) => setTitle(event.target.value)}
        helperText={t("leave empty to use the file name")}
      />
      <ReferenceField
        value={reference}
        onChange={setReference}
        suggestions={proposal.data?.suggestions ?? start.suggestions}
        help={
          proposal.data?.reference
            ? t("leave empty to use %{name}", { name: proposal.data.reference.name })
            : t("name, code or place")
        }
      />
      <PageFields page={page} onPage={setPage} />
      {proposal.data && (
        <ProposedScales
          proposal={proposal.data}
          chosen={denominator}
          dimmed={proposal.isFetching}
          onChoose={(chosen) => setScale(ratio(chosen))}
        />
      )}
      <TextField
        label={t("Scale")}
        value={text}
        onChange={(event) => setScale(event.target.value)}
        error={text !== "" && denominator === null}
        helperText={
          text !== "" && denominator === null
            ? t("Enter a scale, such as 2500 or 1:2,500.")
            : t("any scale; it can be changed in Weave")
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
          {making.isPending ? t("Starting…") : t("Start the book")}
        </Button>
        <Button color="inherit" onClick={onDrop}>
          {t("Discard the file")}
        </Button>
      </Box>
    </Box>
  );
}
