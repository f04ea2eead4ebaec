import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { t } from "../texts/t";

/** Contours from heights: how far apart, from where they count, which are index lines. */
export function ContoursForm({
  unit,
  onTrace,
}: {
  unit: string;
  onTrace: (wanted: { interval: number; base: number; every: number }) => Promise<unknown>;
}) {
  const [wanted, setWanted] = useState({ interval: 10, base: 0, every: 5 });
  const [problem, setProblem] = useState<string | null>(null);
  const set = (more: Partial<typeof wanted>) => {
    setWanted({ ...wanted, ...more });
    return Promise.resolve();
  };
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Pair>
        <Measured
          label={t("Interval, %{unit}", { unit })}
          value={wanted.interval}
          limits={{ least: 0.001, most: 1e6 }}
          onSave={(interval) => set({ interval })}
        />
        <Measured
          label={t("Base, %{unit}", { unit })}
          value={wanted.base}
          limits={{ least: -1e6, most: 1e6 }}
          onSave={(base) => set({ base })}
        />
        <Measured
          label={t("Index contour every")}
          value={wanted.every}
          limits={{ least: 1, most: 1000 }}
          onSave={(every) => set({ every: Math.round(every) })}
        />
      </Pair>
      <Button
        variant="outlined"
        onClick={() => {
          setProblem(null);
          onTrace(wanted).catch((error: Error) => setProblem(error.message));
        }}
      >
        {t("Trace contours")}
      </Button>
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, fontWeight: 600 }}>
          {problem}
        </Typography>
      )}
    </Box>
  );
}
