import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import { useState } from "react";
import type { Abbreviation } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Field } from "../fields/Field";
import { t } from "../texts/t";

/** Words and what stands for them where a label has no room in full. */
export function AbbreviationFields({
  list,
  onSave,
}: {
  list: Abbreviation[];
  onSave: (list: Abbreviation[]) => Promise<unknown>;
}) {
  const [adding, setAdding] = useState(false);
  const change = (index: number, patch: Partial<Abbreviation>) =>
    onSave(list.map((known, place) => (place === index ? { ...known, ...patch } : known)));
  return (
    <Box sx={{ display: "grid", gap: 0.5 }}>
      <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>
        {t("Whole words only, and only where the full text does not fit.")}
      </Box>
      {list.map((entry, index) => (
        <Row
          key={index}
          entry={entry}
          number={index + 1}
          onFull={(full) => change(index, { full })}
          onShort={(short) => change(index, { short })}
          onRemove={() => onSave(list.filter((_, place) => place !== index))}
        />
      ))}
      {adding && (
        <Field
          label={t("Word in full")}
          value=""
          placeholder={t("such as Saint")}
          onSave={async (full) => {
            if (full.trim() === "") throw new Error(t("Enter the word in full."));
            await onSave([...list, { full: full.trim(), short: full.trim().slice(0, 2) }]);
            setAdding(false);
          }}
        />
      )}
      <Box>
        <Button startIcon={<AddIcon />} onClick={() => setAdding(true)} disabled={adding}>
          {t("Abbreviation")}
        </Button>
      </Box>
    </Box>
  );
}

function Row({
  entry,
  number,
  onFull,
  onShort,
  onRemove,
}: {
  entry: Abbreviation;
  number: number;
  onFull: (full: string) => Promise<unknown>;
  onShort: (short: string) => Promise<unknown>;
  onRemove: () => Promise<unknown>;
}) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr) minmax(0, 1fr) 28px", gap: 1, alignItems: "end" }}>
      <Field
        label={t("Word %{number} in full", { number })}
        value={entry.full}
        onSave={async (full) => {
          if (full.trim() === "") throw new Error(t("Enter the word in full."));
          await onFull(full.trim());
        }}
      />
      <Field
        label={t("Word %{number}, short", { number })}
        value={entry.short}
        onSave={(short) => onShort(short.trim())}
      />
      <IconButton
        size="small"
        sx={{ p: 0.25 }}
        aria-label={t("Remove the abbreviation of %{full}", { full: entry.full })}
        onClick={() => void onRemove().catch(toldElsewhere)}
      >
        <RemoveIcon sx={{ fontSize: 15 }} />
      </IconButton>
    </Box>
  );
}
