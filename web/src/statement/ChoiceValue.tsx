import { MenuItem, MenuList } from "@mui/material";
import { useState } from "react";
import { Value } from "./Value";

export interface Choice {
  value: string;
  title: string;
  note?: string;
}

/** A value chosen from a list. */
export function ChoiceValue({
  label,
  value,
  choices,
  onChoose,
  shown,
}: {
  label: string;
  value: string;
  choices: Choice[];
  onChoose: (value: string) => Promise<unknown> | void;
  shown?: string;
}) {
  const [failed, setFailed] = useState<string | null>(null);
  const choose = async (chosen: string, close: () => void) => {
    try {
      if (chosen !== value) await onChoose(chosen);
      close();
    } catch (error) {
      setFailed((error as Error).message);
    }
  };
  return (
    <Value
      label={label}
      shown={shown ?? choices.find((choice) => choice.value === value)?.title ?? value}
      onClose={() => setFailed(null)}
    >
      {(close) => (
        <>
          {failed && (
            <p role="alert" style={{ margin: "8px 16px 0", maxWidth: 320 }}>
              {failed}
            </p>
          )}
          <MenuList autoFocusItem dense aria-label={label} sx={{ maxHeight: 380, overflow: "auto" }}>
            {choices.map((choice) => (
              <MenuItem
                key={choice.value}
                selected={choice.value === value}
                onClick={() => void choose(choice.value, close)}
              >
                {choice.title}
                {choice.note && <span style={{ marginLeft: 12, opacity: 0.75, fontSize: 12.5 }}>{choice.note}</span>}
              </MenuItem>
            ))}
          </MenuList>
        </>
      )}
    </Value>
  );
}
