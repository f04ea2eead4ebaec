import { Box, Button } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import type { Book } from "../api/types";
import { Choice } from "../fields/Choice";
import { useLookBack } from "../frame/useLookBack";
import { useSheet } from "../frame/useSheet";
import { partsOf } from "./parts";
import { t } from "../texts/t";

interface TakePartProps {
  then: Book;
  at: number;
  called: string | undefined;
  tried: (work: () => Promise<unknown>) => Promise<void>;
}

/** One part of the book as it was, put into today's. */
export function TakePart({ then, at, called, tried }: TakePartProps) {
  const book = useBook();
  const { ask } = useChange();
  const { setAt } = useLookBack();
  const { number } = useSheet();
  const parts = partsOf(then, book, number);
  const [wanted, setWanted] = useState(0);
  const chosen = parts[wanted] ?? parts[0];
  if (!chosen) return <Box sx={{ fontSize: 13 }}>{t("No part differs from today’s.")}</Box>;
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Choice
        label={t("Part")}
        value={`${parts.indexOf(chosen)}`}
        choices={parts.map((part, place) => [`${place}`, part.title] as const)}
        onChoose={async (place) => setWanted(Number(place))}
      />
      <Button
        variant="outlined"
        sx={{ justifySelf: "start" }}
        onClick={() =>
          void tried(async () => {
            const { part, id, title } = chosen;
            const name = called ? t("%{title}, from %{called}", { title, called }) : title;
            await ask(`history/${at}/take`, { part, ...(id !== undefined && { id }), name: name.slice(0, 180) });
            setAt(null);
          })
        }
      >
        {t("Restore it in today’s book")}
      </Button>
    </Box>
  );
}
