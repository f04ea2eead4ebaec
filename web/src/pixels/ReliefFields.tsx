import { Box, Button } from "@mui/material";
import type { Light, Relief } from "../api/types";
import { Choice } from "../fields/Choice";
import { Measured } from "../fields/Measured";
import { Pair } from "../fields/Pair";
import { limits } from "../generated/limits";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** Lights and exaggeration of a relief. */
export function ReliefFields({ relief, onSave }: { relief: Relief; onSave: (relief: Relief) => Promise<unknown> }) {
  const lights: Light[] = relief.lights ?? [{}];
  const light = (index: number, fresh: Light) =>
    onSave({ ...relief, lights: lights.map((known, place) => (place === index ? fresh : known)) });
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {lights.map((known, index) => (
        <Pair key={index}>
          <Measured
            label={t("Light azimuth, °")}
            value={known.azimuth_deg ?? 315}
            limits={limits.light.azimuth_deg}
            onSave={(azimuth_deg) => light(index, { ...known, azimuth_deg })}
          />
          <Measured
            label={t("Light altitude, °")}
            value={known.altitude_deg ?? 45}
            limits={limits.light.altitude_deg}
            onSave={(altitude_deg) => light(index, { ...known, altitude_deg })}
          />
        </Pair>
      ))}
      <Box sx={{ display: "flex", gap: 1 }}>
        {lights.length < 8 && (
          <Button
            variant="outlined"
            onClick={() => void onSave({ ...relief, lights: [...lights, { azimuth_deg: (lights.length * 45) % 360 }] })}
          >
            {t("Add a light")}
          </Button>
        )}
        {lights.length > 1 && (
          <Button color="inherit" onClick={() => void onSave({ ...relief, lights: lights.slice(0, -1) })}>
            {t("Remove the last light")}
          </Button>
        )}
      </Box>
      <Pair>
        <Measured
          label={t("Exaggeration")}
          value={relief.exaggeration ?? 1}
          limits={limits.relief.exaggeration}
          onSave={(exaggeration) => onSave({ ...relief, exaggeration })}
        />
        <Choice
          label={t("Heights in")}
          value={relief.heights_in ?? "metres"}
          choices={choices.relief.heights_in}
          onChoose={(heights_in) => onSave({ ...relief, heights_in })}
        />
      </Pair>
    </Box>
  );
}
