import { Box, Button, Link } from "@mui/material";
import { Link as RouterLink } from "react-router";
import { useBook } from "../api/book";
import type { Run } from "../api/types";
import { bytes, listed } from "../api/words";
import { Field } from "../fields/Field";
import { isOpen } from "./useRuns";
import { day } from "../numbers/day";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface RunDetailsProps {
  run: Run;
  base: string;
  act: (path: string, method?: string, body?: unknown) => void;
  onUse: () => void;
  onRepeat: () => void;
}

/** Warnings and files of a run, and what can be done with it. */
export function RunDetails({ run, base, act, onUse, onRepeat }: RunDetailsProps) {
  const book = useBook();
  return (
    <Box sx={{ mt: 1, pl: 1.5, borderLeft: 3, borderColor: "divider", display: "grid", gap: 1, fontSize: 13 }}>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", alignItems: "center" }}>
        <Box sx={{ width: 220 }}>
          <Field
            label={t("Name of the run")}
            value={run.title ?? ""}
            placeholder={t("Run %{run}", { run: run.id })}
            onSave={async (title) => act("", "PATCH", { title: title || null })}
          />
        </Box>
        {!isOpen(run) && <Button onClick={onRepeat}>{t("Repeat")}</Button>}
        <Button onClick={onUse}>{t("Use its order")}</Button>
        <Button component={RouterLink} to={`/books/${book.id}/proof?history=1&at=${run.position}`}>
          {t("The book as exported")}
        </Button>
        {run.state === "done" && run.printable && <Button onClick={() => act("/print")}>{t("Send to printer")}</Button>}
        {!isOpen(run) && (
          <Button
            color="error"
            onClick={() => act("", "DELETE")}
            aria-label={t("Delete run %{run} with its files", { run: run.id })}
          >
            {t("Delete")}
          </Button>
        )}
      </Box>
      {run.printing && <Box role="status">{rich(t("Printer: <1/>"), { 1: run.printing })}</Box>}
      {run.later_revision && (
        <Box>
          {rich(t("Missing sheets were exported from the book as of change <1/>, all others as of <2/>."), {
            1: run.later_revision,
            2: run.revision,
          })}
        </Box>
      )}
      {run.expires_at && (
        <Box>
          {rich(t("Deleted after <1/>."), {
            1: day(run.expires_at),
          })}
        </Box>
      )}
      {run.notices.length > 0 && (
        <Box component="ul" sx={{ m: 0, pl: 2.5 }} aria-label={t("Warnings of run %{run}", { run: run.id })}>
          {run.notices.map(({ message, sheets }) => (
            <li key={message}>
              {sheets.length > 0 && <b>{listed(sheets, 6)}: </b>}
              {message}
            </li>
          ))}
        </Box>
      )}
      {run.files.length > 0 && (
        <Box
          component="table"
          sx={{ borderCollapse: "collapse", "& td": { pr: 2, py: 0.25, verticalAlign: "top", height: 26 } }}
        >
          <tbody>
            {run.files.map((file) => (
              <tr key={file.id}>
                <td>
                  <Link href={`${base}/${run.id}/files/${file.id}`} sx={{ display: "inline-block", minHeight: 24 }}>
                    {file.name}
                  </Link>
                </td>
                <td>{bytes(file.bytes)}</td>
                <td style={{ fontFamily: "monospace", fontSize: 11.5, overflowWrap: "anywhere" }}>
                  {file.sha256 && t("SHA-256 %{sha256}", { sha256: file.sha256 })}
                </td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      {run.file_count > run.files.length && (
        <Box>{rich(t("and <1/> more files"), { 1: run.file_count - run.files.length })}</Box>
      )}
    </Box>
  );
}
