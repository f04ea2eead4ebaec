import CancelIcon from "@mui/icons-material/CancelOutlined";
import DoneIcon from "@mui/icons-material/CheckCircleOutlined";
import FailedIcon from "@mui/icons-material/ErrorOutlined";
import RunningIcon from "@mui/icons-material/HourglassEmptyOutlined";
import {
  Box,
  Button,
  LinearProgress,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useBook } from "../api/book";
import { get, post, Refusal } from "../api/client";
import type { Run } from "../api/types";
import { bytes, count } from "../api/words";
import { Notice } from "../frame/Notice";
import { EntryValue } from "../statement/EntryValue";
import { Statement } from "../statement/Statement";

const open = (run: Run) => run.state === "waiting" || run.state === "running";

// Sheets to PDF: which, go, progress, and the runs so far.
export function PressStep() {
  const book = useBook();
  const client = useQueryClient();
  const [sheets, setSheets] = useState("all");
  const base = `/api/books/${book.id}/runs`;
  const runs = useQuery({
    queryKey: ["runs", book.id],
    queryFn: ({ signal }) => get<Run[]>(base, signal),
    refetchInterval: (query) => (query.state.data?.some(open) ? 500 : 4000),
  });
  const act = useMutation<Run, Refusal, { path: string; body: unknown }>({
    mutationFn: ({ path, body }) => post<Run>(path, body),
    onSettled: () => client.invalidateQueries({ queryKey: ["runs", book.id] }),
  });
  const all = /^(all)?$/i.test(sheets.trim());
  const key = !!book.document.index_layout;
  return (
    <>
      <Statement
        answer={
          <>
            {book.cells.length === 0 ? (
              "There are no sheets yet; generate an index first."
            ) : (
              <>
                The book has <b>{count(book.cells.length, "sheet")}</b>. Text stays text, layers can be switched in the
                reader, and pages are georeferenced.
              </>
            )}
          </>
        }
      >
        Export{" "}
        <EntryValue
          label="Which sheets"
          shown={all ? (key ? "all sheets with the index sheet" : "all sheets") : `sheets ${sheets}`}
          text={sheets}
          read={(text) => text.trim() || "all"}
          expected=""
          onKeep={async (text) => setSheets(text)}
          foretold={`all, or places and names such as ${key ? "index, " : ""}1-3, 7, C2`}
        />{" "}
        of {book.document.title} as <b>one PDF</b>.{" "}
        <Button
          variant="contained"
          color="secondary"
          sx={{ ml: 1.5, px: 3 }}
          disabled={act.isPending || book.cells.length === 0}
          onClick={() => act.mutate({ path: base, body: { sheets } })}
        >
          Export PDF
        </Button>
      </Statement>
      {act.error && (
        <Notice text={act.error.message} onClose={act.reset}>
          {act.error.choices?.map(({ text, says }) => (
            <Button
              key={text}
              variant="outlined"
              onClick={() => {
                setSheets(text);
                act.mutate({ path: base, body: { sheets: text } });
              }}
            >
              {says.replace(/^./, (letter) => letter.toUpperCase())}
            </Button>
          ))}
        </Notice>
      )}
      <Box sx={{ flex: 1, minHeight: 0, overflow: "auto", bgcolor: "table.main", p: 3 }}>
        <Box
          component="section"
          aria-labelledby="runs-title"
          sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", maxWidth: 1020, mx: "auto" }}
        >
          <Typography component="h2" variant="h2" id="runs-title" sx={{ p: 2, pb: 1 }}>
            Runs
          </Typography>
          {runs.error && (
            <Typography role="alert" sx={{ px: 2, pb: 2 }}>
              {runs.error.message}
            </Typography>
          )}
          {runs.data?.length === 0 && (
            <Typography sx={{ px: 2, pb: 2, color: "text.secondary" }}>
              Nothing has been exported yet. Export PDF makes a file of the sheets named in the sentence above; it is
              listed here and stays.
            </Typography>
          )}
          {runs.data && runs.data.length > 0 && (
            <RunTable
              runs={runs.data}
              base={base}
              revision={book.revision}
              onCancel={(run) => act.mutate({ path: `${base}/${run.id}/cancel`, body: {} })}
              onDelete={(run) =>
                void post(`${base}/${run.id}`, {}, { method: "DELETE" }).finally(() =>
                  client.invalidateQueries({ queryKey: ["runs", book.id] }),
                )
              }
            />
          )}
        </Box>
      </Box>
    </>
  );
}

function RunTable({
  runs,
  base,
  revision,
  onCancel,
  onDelete,
}: {
  runs: Run[];
  base: string;
  revision: number;
  onCancel: (run: Run) => void;
  onDelete: (run: Run) => void;
}) {
  return (
    <Table size="small">
      <TableHead>
        <TableRow>
          {["Run", "Sheets", "Asked for", "State", "File"].map((title) => (
            <TableCell key={title}>{title}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {runs.map((run) => (
          <TableRow key={run.id} data-run={run.id}>
            <TableCell>{run.id}</TableCell>
            <TableCell>
              {run.sheets === "all" ? `all ${run.total}` : `${run.sheets} (${count(run.total, "sheet")})`}
            </TableCell>
            <TableCell>
              {new Date(run.created_at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}
            </TableCell>
            <TableCell sx={{ width: 320 }}>
              <State run={run} />
            </TableCell>
            <TableCell>
              {open(run) && (
                <Button
                  color="error"
                  startIcon={<CancelIcon />}
                  onClick={() => onCancel(run)}
                  aria-label={`Stop run ${run.id}`}
                >
                  Stop
                </Button>
              )}
              {run.ready && (
                <Button
                  href={`${base}/${run.id}/file`}
                  aria-label={`Download, ${bytes(run.bytes ?? 0)}, run ${run.id}`}
                >
                  Download, {bytes(run.bytes ?? 0)}
                </Button>
              )}
              {!open(run) && (
                <Button
                  color="error"
                  onClick={() => onDelete(run)}
                  aria-label={`Delete run ${run.id}${run.ready ? " with its file" : ""}`}
                >
                  Delete
                </Button>
              )}
              {run.ready && run.revision < revision && (
                <Box component="span" sx={{ fontSize: 12.5, color: "text.secondary", ml: 1 }}>
                  the book changed since
                </Box>
              )}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

function State({ run }: { run: Run }) {
  if (open(run)) {
    return (
      <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <RunningIcon fontSize="small" />
        <Box sx={{ flex: 1 }}>
          {run.state === "waiting" ? "Waiting for a worker" : `Sheet ${run.done} of ${run.total}`}
          <LinearProgress
            variant="determinate"
            value={(100 * run.done) / Math.max(run.total, 1)}
            aria-label={`Progress of run ${run.id}`}
            sx={{ mt: 0.5, height: 6 }}
          />
        </Box>
      </Box>
    );
  }
  const [Icon, colour, text] =
    run.state === "done"
      ? ([DoneIcon, "success.main", "Done"] as const)
      : run.state === "cancelled"
        ? ([CancelIcon, "text.secondary", "Stopped"] as const)
        : ([FailedIcon, "error.main", "Failed"] as const);
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, color: colour }}>
      <Icon fontSize="small" />
      <span>
        {text}
        {run.reason && run.state === "failed" ? `: ${run.reason}` : ""}
      </span>
    </Box>
  );
}
