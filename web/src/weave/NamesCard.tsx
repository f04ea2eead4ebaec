import {
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { Index } from "../api/types";
import type { IndexPatch } from "../api/indexAnswer";
import { count } from "../api/words";
import { Field } from "../fields/Field";
import { Choice } from "../fields/Choice";
import { Measured } from "../fields/Measured";
import { AttributeChoice } from "./SettingsCard";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";

interface Renamed {
  number: number;
  old: string;
  new: string;
}

// The pattern of names, with what it would call the sheets beside what they are called.
export function NamesSettings({
  index,
  tried,
  onTry,
}: {
  index: Index;
  tried: IndexPatch | null;
  onTry: (patch: IndexPatch) => void;
}) {
  const book = useBook();
  const { ask } = useChange();
  const naming = index.naming ?? {};
  const shown = filled(naming, defaults.index_naming);
  const kind = naming.kind ?? book.naming.kind;
  const names = useQuery({
    queryKey: ["names", book.id, book.revision, tried],
    queryFn: ({ signal }) =>
      post<Renamed[]>(`/api/books/${book.id}/names`, { patch: tried ? { index: tried } : {} }, { signal }),
    retry: false,
  });
  const set = (patch: Record<string, unknown>) => onTry({ naming: patch } as IndexPatch);
  const differ = (names.data ?? []).filter((row) => row.old !== row.new);
  return (
    <>
      <Choice
        label="Sheet names"
        value={kind}
        choices={[
          ["places", "by column and row"],
          ["numbers", "by number"],
          ["field", "by a field"],
        ]}
        onChoose={async (chosen) => set({ kind: chosen })}
      />
      {kind === "places" && (
        <>
          <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
            <Choice
              label="Columns"
              value={shown.columns}
              choices={[
                ["letters", "letters"],
                ["numbers", "numbers"],
              ]}
              onChoose={async (columns) => set({ columns })}
            />
            <Choice
              label="Rows"
              value={shown.rows}
              choices={[
                ["numbers", "numbers"],
                ["letters", "letters"],
              ]}
              onChoose={async (rows) => set({ rows })}
            />
            <Choice
              label="First"
              value={shown.first}
              choices={[
                ["column", "the column"],
                ["row", "the row"],
              ]}
              onChoose={async (first) => set({ first })}
            />
            <Choice
              label="Rows from"
              value={shown.rows_from}
              choices={[
                ["north", "the north"],
                ["south", "the south"],
              ]}
              onChoose={async (rows_from) => set({ rows_from })}
            />
            <Field
              label="Separator"
              value={shown.separator}
              placeholder="nothing"
              onKeep={async (separator) => set({ separator: separator.slice(0, 5) })}
            />
            <Measured
              label="Digits at least"
              value={shown.digits}
              least={1}
              most={9}
              onKeep={async (digits) => set({ digits: Math.round(digits) })}
            />
          </Box>
          <FormControlLabel
            control={
              <Checkbox
                size="small"
                checked={shown.without_io}
                onChange={(event) => set({ without_io: event.target.checked })}
              />
            }
            label="leave the letters I and O out"
          />
        </>
      )}
      {kind === "numbers" && (
        <Measured
          label="Digits at least"
          value={shown.digits}
          least={1}
          most={9}
          onKeep={async (digits) => set({ digits: Math.round(digits) })}
        />
      )}
      {kind === "field" && (
        <AttributeChoice
          label="Field"
          index={index}
          value={naming.field}
          onChoose={(attribute) => set({ field: attribute || null })}
        />
      )}
      <Field
        label="Prefix"
        value={shown.prefix}
        placeholder="nothing"
        onKeep={async (prefix) => set({ prefix: prefix.slice(0, 40) })}
      />
      <Box>
        <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700 }}>
          Names by the pattern
        </Typography>
        <Typography sx={{ fontSize: 13, color: "text.secondary" }}>
          {names.error
            ? names.error.message
            : differ.length === 0
              ? "All names match the pattern."
              : `${count(differ.length, "sheet")} would be renamed. Names stay as they are until you rename all.`}
        </Typography>
        {differ.length > 0 && (
          <Box
            sx={{ maxHeight: 170, overflow: "auto", my: 1 }}
            tabIndex={0}
            role="region"
            aria-label="Old and new names"
          >
            <Table size="small">
              <TableHead>
                <TableRow>
                  <TableCell>Is</TableCell>
                  <TableCell>Would be</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {differ.slice(0, 200).map((row) => (
                  <TableRow key={row.number}>
                    <TableCell>{row.old}</TableCell>
                    <TableCell>{row.new}</TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          </Box>
        )}
        {differ.length > 0 && !tried && (
          <Button variant="outlined" onClick={() => void ask("names/anew", {}).catch(() => undefined)}>
            Rename all
          </Button>
        )}
      </Box>
    </>
  );
}
