import { Box } from "@mui/material";
import type { LabelRule } from "../api/types";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { filled } from "../fields/filled";
import { Measured } from "../fields/Measured";
import { without } from "../fields/without";
import { defaults } from "../generated/defaults";
import { BackgroundChoice } from "./BackgroundChoice";
import type { KeepRule } from "./LabelRuleFields";
import { limits } from "../generated/limits";
import { orNone } from "../fields/limits";
import { NumberOf } from "../fields/NumberOf";
import { t } from "../texts/t";

/** What lies under a label, and the line that leads to one that is moved away. */
export function BehindFields({ rule, onSave }: { rule: LabelRule; onSave: KeepRule }) {
  const halo = filled(rule.halo, defaults.label_halo);
  const backing = rule.backing;
  const behind = filled(backing, defaults.label_backing);
  const stroke = filled(backing?.stroke, defaults.stroke);
  const leader = filled(rule.leader, defaults.stroke);
  const keepBacking = (patch: Partial<NonNullable<LabelRule["backing"]>>) =>
    onSave({ ...rule, backing: { ...backing, ...patch } });
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <ColourBeside
        colour={
          <Colour
            label={t("Colour of the halo")}
            value={halo.colour}
            onSave={(colour) => onSave({ ...rule, halo: { ...rule.halo, colour } })}
          />
        }
      >
        <Measured
          label={t("Halo, mm")}
          value={halo.width_mm}
          limits={limits.label_halo.width_mm}
          onSave={(width_mm) => onSave({ ...rule, halo: { ...rule.halo, width_mm } })}
        />
      </ColourBeside>
      <BackgroundChoice
        label={t("Background")}
        shape={backing && behind.shape}
        onChoose={(shape) =>
          shape
            ? keepBacking({ shape, ...(!backing && { stroke: { width_mm: 0.2 } }) })
            : onSave(without(rule, "backing"))
        }
      />
      {backing && (
        <ColourBeside
          colour={
            <>
              <Colour
                label={t("Colour of the background")}
                value={behind.fill.colour}
                onSave={(colour) => keepBacking({ fill: { ...behind.fill, colour } })}
              />
              {backing.stroke && (
                <Colour
                  label={t("Colour of the background’s edge")}
                  value={stroke.colour}
                  onSave={(colour) => keepBacking({ stroke: { ...backing.stroke, colour } })}
                />
              )}
            </>
          }
        >
          <NumberOf label={t("Margin, mm")} part="label_backing" of="margin_mm" given={behind} onSave={keepBacking} />
          <Measured
            label={t("Edge, mm")}
            value={backing.stroke ? stroke.width_mm : 0}
            limits={orNone(limits.stroke.width_mm)}
            onSave={(width_mm) =>
              width_mm === 0
                ? onSave({ ...rule, backing: without(backing, "stroke") })
                : keepBacking({ stroke: { ...backing.stroke, width_mm } })
            }
          />
        </ColourBeside>
      )}
      <ColourBeside
        colour={
          <Colour
            label={t("Colour of leader lines")}
            value={leader.colour}
            onSave={(colour) => onSave({ ...rule, leader: { width_mm: 0.15, ...rule.leader, colour } })}
          />
        }
      >
        <Measured
          label={t("Leader line, mm")}
          value={rule.leader?.width_mm ?? 0.15}
          limits={limits.stroke.width_mm}
          onSave={(width_mm) => onSave({ ...rule, leader: { ...rule.leader, width_mm } })}
        />
      </ColourBeside>
    </Box>
  );
}
