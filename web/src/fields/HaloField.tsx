import type { Halo } from "../api/types";
import { Measured } from "./Measured";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

/** How far a halo reaches; none where it reaches nowhere. */
export function HaloField({
  halo,
  onSave,
}: {
  halo: Halo | undefined;
  onSave: (halo: Halo | undefined) => Promise<unknown>;
}) {
  return (
    <Measured
      label={t("Halo, mm")}
      value={halo?.width_mm ?? 0}
      limits={limits.halo.width_mm}
      onSave={(width_mm) => onSave(width_mm === 0 ? undefined : { ...halo, width_mm })}
    />
  );
}
