import AddIcon from "@mui/icons-material/Add";
import RemoveIcon from "@mui/icons-material/Remove";
import { Box, Button, IconButton } from "@mui/material";
import { useBook, useChange } from "../api/book";
import type { OwnField } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Field } from "../fields/Field";
import { Heading } from "../frame/Card";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** What the book says of itself under names of its own, for title blocks and names of files. */
export function OwnFields() {
  const book = useBook();
  const { change } = useChange();
  const fields = book.document.fields ?? [];
  const put = (list: OwnField[]) => change("Fields of the book", { fields: list.length === 0 ? null : list });
  const set = (index: number, patch: Partial<OwnField>) =>
    put(fields.map((field, place) => (place === index ? { ...field, ...patch } : field)));
  const free = () => {
    let number = fields.length + 1;
    while (fields.some((field) => field.name === `field${number}`)) number++;
    return `field${number}`;
  };
  return (
    <>
      <Heading text={t("Own fields of the book")} />
      <Box
        component="ul"
        aria-label={t("Own fields of the book")}
        sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gap: 0.5 }}
      >
        {fields.map((field, index) => (
          <Box component="li" key={index} sx={{ display: "flex", gap: 1, alignItems: "flex-end" }}>
            <Field
              label={t("Name")}
              value={field.name}
              onSave={(text) => {
                if (!/^[A-Za-z][A-Za-z0-9_]{0,39}$/.test(text.trim()))
                  throw new Error(t("Enter a letter, then letters, digits or _, at most 40 in all."));
                return set(index, { name: text.trim() });
              }}
            />
            <Field label={t("Value")} value={field.value ?? ""} onSave={(value) => set(index, { value })} />
            <IconButton
              size="small"
              aria-label={t("Remove the field %{name}", { name: field.name })}
              onClick={() => void put(fields.filter((_, place) => place !== index)).catch(toldElsewhere)}
            >
              <RemoveIcon sx={{ fontSize: 16 }} />
            </IconButton>
          </Box>
        ))}
      </Box>
      {fields.length > 0 && (
        <Box sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.5 }}>
          {rich(t("Live text has each as <1/>, on sheets and in names of files."), { 1: "{{ fields.name }}" })}
        </Box>
      )}
      <Button
        startIcon={<AddIcon />}
        onClick={() => void put([...fields, { name: free(), value: "" }]).catch(toldElsewhere)}
      >
        {t("Field")}
      </Button>
    </>
  );
}
