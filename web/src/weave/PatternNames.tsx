import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useBook, useChange } from "../api/book";
import { post } from "../api/client";
import type { IndexPatch } from "../api/indexAnswer";
import { count } from "../api/words";
import { toldElsewhere } from "../api/toldElsewhere";
import type { SheetRenamed as Renamed } from "../generated/answers";
import { t } from "../texts/t";

/** What the pattern would call the sheets, beside what they are called. */
export function PatternNames({ tried }: { tried: IndexPatch | null }) {
  const book = useBook();
  const { ask } = useChange();
  const names = useQuery({
    queryKey: ["names", book.id, book.revision, tried],
    queryFn: ({ signal }) =>
      post<Renamed[]>(`/api/books/${book.id}/names`, { patch: tried ? { index: tried } : {} }, { signal }),
    retry: false,
  });
  const differ = (names.data ?? []).filter((row) => row.old !== row.new);
  return (
    <Box>
      <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700 }}>
        {t("Names by the pattern")}
      </Typography>
      <Typography sx={{ fontSize: 13, color: "text.secondary" }}>
        {names.error
          ? names.error.message
          : differ.length === 0
            ? t("All names match the pattern.")
            : t("%{value} would be renamed. Names stay as they are until you rename all.", {
                value: count(differ.length, "sheet"),
              })}
      </Typography>
      {differ.length > 0 && (
        <Box
          sx={{ maxHeight: 170, overflow: "auto", my: 1 }}
          tabIndex={0}
          role="region"
          aria-label={t("Old and new names")}
        >
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>{t("Is")}</TableCell>
                <TableCell>{t("Would be")}</TableCell>
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
        <Button variant="outlined" onClick={() => void ask("names/anew", {}).catch(toldElsewhere)}>
          {t("Rename all")}
        </Button>
      )}
    </Box>
  );
}
