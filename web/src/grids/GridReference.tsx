import { Box } from "@mui/material";
import { useState } from "react";
import type { Grid } from "../api/types";
import { Choice } from "../fields/Choice";
import { ReferenceField } from "../fields/ReferenceField";
import { t } from "../texts/t";

const KNOWN: readonly (readonly [string, string])[] = [
  ["book", t("the book’s CRS")],
  ["geographic", t("longitude and latitude")],
  ["utm", t("UTM, by zone")],
  ["other", t("another")],
];

/** The coordinate reference system of a grid: the book’s, degrees, or another. */
export function GridReference({ grid, onChoose }: { grid: Grid; onChoose: (reference: string) => Promise<unknown> }) {
  const named = KNOWN.some(([known]) => known === grid.crs);
  const [other, setOther] = useState(!named);
  const [text, setText] = useState(named ? "" : grid.crs);
  const [problem, setProblem] = useState<string | null>(null);
  const choose = (reference: string) => {
    setProblem(null);
    void onChoose(reference).catch((error: Error) => setProblem(error.message));
  };
  return (
    <Box sx={{ mt: 1, display: "grid", gap: 1 }}>
      <Choice
        label={t("CRS")}
        value={other ? "other" : grid.crs}
        choices={KNOWN}
        onChoose={async (known) => {
          setOther(known === "other");
          if (known !== "other") choose(known);
        }}
      />
      {other && (
        <ReferenceField
          value={text}
          suggestions={[]}
          label={t("CRS of the grid")}
          help={t("name, code or place")}
          onChange={setText}
          onPick={(code) => {
            setText(code);
            choose(code);
          }}
        />
      )}
      {problem && (
        <Box role="alert" sx={{ fontSize: 13, color: "error.main" }}>
          {problem}
        </Box>
      )}
    </Box>
  );
}
