import { Box, Button, LinearProgress, Typography } from "@mui/material";
import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { type Refusal, upload } from "../api/client";
import { bytes, count } from "../api/words";
import { FileInput } from "../fields/FileInput";
import { dataEndings } from "../generated/kinds";
import { Review } from "./Review";
import { paper, useArrival } from "./arrive";
import type { Started } from "./started";
import { useStart } from "./useStart";
import { written } from "../numbers/written";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** A book from a file of any kind that Ground imports: it is looked into, a scale is proposed, the book is made. */
export function Start({ onProblem }: { onProblem: (text: string | null) => void }) {
  const arrive = useArrival();
  const input = useRef<HTMLInputElement>(null);
  const { data, keep, drop } = useStart();
  const sending = useMutation<Started, Refusal, File>({
    mutationFn: (file) => upload<Started>("/api/starts", file),
    onSuccess: keep,
    onError: (error, file) =>
      onProblem(t("%{name} cannot be used. %{message}", { name: file.name, message: error.message })),
  });
  const made = data?.state === "done" ? data.book : null;
  useEffect(() => {
    if (made !== null && made !== undefined) void arrive({ id: made });
  }, [made]); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <Box component="section" aria-labelledby="start-title" sx={{ ...paper, display: "grid", gap: 1.5 }}>
      <Typography component="h2" variant="h2" id="start-title">
        {t("Start a book")}
      </Typography>
      <FileInput
        ref={input}
        label={t("Data file of the new book")}
        accept={dataEndings.join(",")}
        onFiles={([file]) => {
          onProblem(null);
          if (file) sending.mutate(file);
        }}
      />
      {!data && (
        <>
          <Box sx={{ fontSize: 13.5, color: "text.secondary" }}>
            {rich(t("From a data file: <1/>."), { 1: dataEndings.join(", ") })}
          </Box>
          <Button variant="outlined" disabled={sending.isPending} onClick={() => input.current?.click()}>
            {sending.isPending ? t("Sending…") : t("Choose a data file")}
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
          <Typography role="status">{data.reason ?? t("Looking into it…")}</Typography>
          <LinearProgress aria-label={t("Looking into the file")} />
          <Button color="inherit" onClick={drop}>
            {t("Stop")}
          </Button>
        </>
      )}
      {(data?.state === "importing" || data?.state === "done") && (
        <>
          <Typography role="status">
            {t("Making the book: %{done} of %{value}", {
              done: written(data.done),
              value: count(data.total, "feature"),
            })}
          </Typography>
          <LinearProgress
            variant="determinate"
            value={Math.min((100 * data.done) / Math.max(data.total, 1), 100)}
            aria-label={t("Making the book")}
            sx={{ height: 6 }}
          />
          <Button color="inherit" onClick={drop}>
            {t("Stop")}
          </Button>
        </>
      )}
      {(data?.state === "failed" || data?.state === "cancelled") && (
        <>
          <Typography role="alert" sx={{ color: "error.main", fontWeight: 600 }}>
            {data.reason ?? t("Stopped.")}
          </Typography>
          <Button variant="outlined" onClick={drop}>
            {t("Choose another file")}
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
