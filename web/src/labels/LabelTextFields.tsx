import { Box, Button, Menu, MenuItem } from "@mui/material";
import { useState } from "react";
import type { LabelRule } from "../api/types";
import type { Attribute } from "../api/useAttributes";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import type { KeepRule } from "./LabelRuleFields";
import { t } from "../texts/t";

const COMPOSED = "\u0000composed";

// How a field is written in a composed text.
const tag = (name: string) => (/^[A-Za-z_][\w-]*$/.test(name) ? `{{ ${name} }}` : `{{ feature["${name}"] }}`);

/** What a label says: the value of a field, or a text that fields are filled into. */
export function LabelTextFields({
  rule,
  attributes,
  onSave,
}: {
  rule: LabelRule;
  attributes: Attribute[];
  onSave: KeepRule;
}) {
  const { field, text, ...rest } = rule;
  const known = attributes.map((attribute) => attribute.name);
  const choose = (chosen: string) =>
    onSave(chosen === COMPOSED ? { ...rest, text: field === undefined ? "" : tag(field) } : { ...rest, field: chosen });
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 1 }}>
      <Choice
        label={t("Label from")}
        value={text === undefined ? (field ?? "") : COMPOSED}
        choices={[
          ...(text === undefined && !known.includes(field ?? "")
            ? [[field ?? "", t("%{field} (no such field)", { field })] as const]
            : []),
          ...known.map((name) => [name, name] as const),
          [COMPOSED, t("a composed text")] as const,
        ]}
        onChoose={choose}
      />
      {text !== undefined && (
        <>
          <Field
            label={t("Text of the label")}
            value={text}
            multiline
            onSave={async (fresh) => {
              if (fresh.trim() === "") throw new Error(t("Enter a text, such as {{ name }}."));
              await onSave({ ...rest, text: fresh });
            }}
          />
          <InsertField
            names={known}
            onInsert={(name) => onSave({ ...rest, text: `${text}${text && !/\s$/.test(text) ? " " : ""}${tag(name)}` })}
          />
        </>
      )}
    </Box>
  );
}

function InsertField({ names, onInsert }: { names: string[]; onInsert: (name: string) => Promise<unknown> }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Box>
      <Button onClick={(event) => setAnchor(event.currentTarget)}>{t("Insert a field")}</Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {names.map((name) => (
          <MenuItem
            key={name}
            onClick={() => {
              setAnchor(null);
              void onInsert(name);
            }}
          >
            {name}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}
