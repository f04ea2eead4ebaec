import { Box, Button, LinearProgress, Typography } from "@mui/material";
import { useMutation } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { type Refusal, sendFile, upload } from "../api/client";
import { count } from "../api/words";
import { FileInput } from "../fields/FileInput";
import { paper, useArrival } from "./arrive";
import type { Started } from "./started";
import { useStart } from "./useStart";
import { t } from "../texts/t";

const archive = (file: File) => file.name.toLowerCase().endsWith(".zip");

/** A book that went out as a file: one JSON file is opened at once, an archive with everything by a job. */
export function Open({ onProblem }: { onProblem: (text: string | null) => void }) {
  const arrive = useArrival();
  const input = useRef<HTMLInputElement>(null);
  const start = useStart();
  const opening = useMutation<void, Refusal, File>({
    mutationFn: async (file) => {
      if (archive(file)) return start.keep(await upload<Started>("/api/starts?opens=1", file));
      await arrive(await sendFile<{ id: number }>("/api/books", file));
    },
    onError: (error, file) =>
      onProblem(t("%{name} was not opened. %{message}", { name: file.name, message: error.message })),
  });
  const { data, drop } = start;
  const made = data?.state === "done" ? data.book : null;
  useEffect(() => {
    if (made !== null) void arrive({ id: made });
  }, [made]); // eslint-disable-line react-hooks/exhaustive-deps
  const failed =
    data?.state === "failed"
      ? t("%{name} was not opened. %{value}", { name: data.name, value: data.reason ?? "" })
      : null;
  useEffect(() => {
    if (!failed) return;
    onProblem(failed);
    drop();
  }, [failed]); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <Box component="section" aria-labelledby="open-title" sx={{ ...paper, display: "grid", gap: 1.5 }}>
      <Typography component="h2" variant="h2" id="open-title">
        {t("Open a book file")}
      </Typography>
      <FileInput
        ref={input}
        label={t("Book file")}
        accept=".json,.zip,application/json,application/zip"
        onFiles={([file]) => {
          onProblem(null);
          if (file) opening.mutate(file);
        }}
      />
      {data ? (
        <>
          <Typography role="status" sx={{ overflowWrap: "anywhere" }}>
            {data.total > 0
              ? t("Opening %{name}: %{value} of %{total}", {
                  name: data.name,
                  value: count(data.done, "layer"),
                  total: data.total,
                })
              : t("Opening %{name} …", { name: data.name })}
          </Typography>
          <LinearProgress
            variant={data.total > 0 ? "determinate" : "indeterminate"}
            value={data.total > 0 ? (100 * data.done) / data.total : undefined}
            aria-label={t("Opening the book")}
            sx={{ height: 6 }}
          />
          <Button color="inherit" onClick={drop}>
            {t("Stop")}
          </Button>
        </>
      ) : (
        <>
          <Box sx={{ fontSize: 13.5, color: "text.secondary" }}>
            {t("A book that was exported with everything (.zip), or as one file (.json).")}
          </Box>
          <Button variant="outlined" disabled={opening.isPending} onClick={() => input.current?.click()}>
            {opening.isPending ? t("Sending…") : t("Choose a book file")}
          </Button>
        </>
      )}
    </Box>
  );
}
