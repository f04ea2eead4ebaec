import type { Veil } from "../../api/types";
import { Choice } from "../../fields/Choice";
import { Colour } from "../../fields/Colour";
import { ColourBeside } from "../../fields/ColourBeside";
import { Flag } from "../../fields/Flag";
import { Pair } from "../../fields/Pair";
import { filled } from "../../fields/filled";
import { defaults } from "../../generated/defaults";
import { Percent } from "../../fields/Percent";
import { NumberOf } from "../../fields/NumberOf";
import { choices } from "../../generated/choices";
import { t } from "../../texts/t";

/** What lies outside the sheet's feature, the study area or the cell is veiled. */
export function VeilFields({
  veil,
  onSave,
}: {
  veil: Veil | undefined;
  onSave: (veil: Veil | undefined) => Promise<unknown>;
}) {
  const keep = (patch: Partial<Veil>) => onSave({ ...veil, ...patch });
  if (!veil) return <Flag label={t("Veil what is outside")} value={false} onSave={() => onSave({})} />;
  const shown = filled(veil, defaults.veil);
  return (
    <div style={{ display: "grid", gap: 8 }}>
      <Flag label={t("Veil what is outside")} value onSave={() => onSave(undefined)} />
      <Choice
        label={t("What stays clear")}
        value={shown.round}
        choices={choices.veil.round}
        onChoose={(round) => keep({ round })}
      />
      <ColourBeside
        colour={<Colour label={t("Colour of the veil")} value={shown.colour} onSave={(colour) => keep({ colour })} />}
      >
        <Percent label={t("Opacity, %")} value={shown.opacity} onSave={(opacity) => keep({ opacity })} />
        <NumberOf label={t("Margin, mm")} part="veil" of="margin_mm" given={shown} onSave={keep} />
      </ColourBeside>
      <Pair>
        <NumberOf label={t("Soft edge, mm")} part="veil" of="soft_mm" given={shown} onSave={keep} />
        <span />
        <Choice
          label={t("Labels")}
          value={shown.labels}
          choices={choices.veil.labels}
          onChoose={(labels) => keep({ labels })}
        />
        <Choice
          label={t("Grids")}
          value={shown.grids}
          choices={choices.veil.labels}
          onChoose={(grids) => keep({ grids })}
        />
      </Pair>
    </div>
  );
}
