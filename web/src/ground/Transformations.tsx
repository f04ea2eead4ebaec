import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useBook } from "../api/book";
import { get, post } from "../api/client";
import type { Book } from "../api/types";
import { listed } from "../api/words";
import type { DatumOperation as Operation, DatumShift as Shift } from "../generated/answers";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

const MOST_NAMED = 3;

// Elsewhere than where it is made for nothing is known of it.
const accuracy = ({ accuracy_m, area }: Operation) =>
  accuracy_m === null
    ? t("%{value}accuracy not known here", { value: area ? t("area of use %{area}, ", { area }) : "" })
    : t("accurate to %{accuracy_m} m", { accuracy_m });

// What brings data and grids of other datums to the book's own.
function useShifts() {
  const book = useBook();
  return useQuery({
    queryKey: ["operations", book.id, book.revision],
    queryFn: ({ signal }) => get<Shift[]>(`/api/books/${book.id}/operations`, signal),
    staleTime: Infinity,
  });
}

/** In a sentence, for the layers alone. */
export function ShiftsInWords() {
  const shifts = (useShifts().data ?? []).filter((shift) => shift.layers.length > 0);
  return (
    <>
      {shifts.map((shift) => (
        <span key={shift.datums.join()}>
          {" "}
          {rich(t("<1/> <2/> transformed by “<3/>” (<4/><5/>)."), {
            1: listed(shift.layers, MOST_NAMED),
            2: shift.layers.length === 1 ? t("was") : t("were"),
            3: shift.name,
            4: accuracy(shift),
            5: shift.better
              ? t("; “%{name}” would be %{better}", { name: shift.better.name, better: accuracy(shift.better) })
              : "",
          })}
        </span>
      ))}
    </>
  );
}

/** Each with its accuracy, and others in its place. */
export function Transformations() {
  const book = useBook();
  const client = useQueryClient();
  const shifts = useShifts();
  const [problem, setProblem] = useState<string | null>(null);
  if (!shifts.data?.length) return null;
  const choose = (datums: [string, string], name: string) =>
    post<Book>(`/api/books/${book.id}/operations`, { datums, name }).then(
      (fresh) => {
        setProblem(null);
        client.setQueryData(["book", book.id], fresh);
      },
      (error: Error) => setProblem(error.message),
    );
  return (
    <Box component="section" aria-label={t("Transformations between datums")} sx={{ mt: 2 }}>
      <Typography component="h3" sx={{ fontSize: 15, fontWeight: 700 }}>
        {t("Transformations between datums")}
      </Typography>
      {shifts.data.map((shift) => (
        <Box key={shift.datums.join()} sx={{ mt: 1.5 }}>
          <TextField
            select
            fullWidth
            size="small"
            label={shift.datums.join(" – ")}
            value={shift.name}
            slotProps={{ select: { renderValue: (name) => name as string } }}
            onChange={(event) => void choose(shift.datums, event.target.value)}
            helperText={t("%{shift}; for %{value}", {
              shift: accuracy(shift),
              value: listed([...shift.layers, ...shift.grids.map((grid) => t("grid “%{grid}”", { grid }))], MOST_NAMED),
            })}
          >
            {shift.candidates.map((candidate) => (
              <MenuItem key={candidate.name} value={candidate.name}>
                {candidate.name}, {accuracy(candidate)}
              </MenuItem>
            ))}
          </TextField>
        </Box>
      ))}
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mt: 1 }}>
          {problem}
        </Typography>
      )}
      <Typography sx={{ fontSize: 12.5, color: "text.secondary", mt: 1 }}>
        {t(
          "The most accurate one available for the area; choosing another transforms the layers again from their original files.",
        )}
      </Typography>
    </Box>
  );
}
