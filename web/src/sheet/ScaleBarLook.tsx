import type { ScaleBarElement } from "../api/types";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { HaloField } from "../fields/HaloField";
import { barStyles } from "../generated/kinds";
import { whole } from "./kinds";
import type { Keep } from "./scaleBar";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

/** How a scale bar is drawn. */
export function LookFields({ element, onSave }: { element: ScaleBarElement; onSave: Keep }) {
  const shown = whole(element);
  const style = shown.style;
  const ticked = style === "ticked_line" || style === "two_units";
  return (
    <ColourBeside
      colour={
        <>
          <Colour label={t("Colour of the bar")} value={shown.colour} onSave={(colour) => onSave({ colour })} />
          <Colour label={t("Light colour of the bar")} value={shown.light} onSave={(light) => onSave({ light })} />
        </>
      }
    >
      <Choice
        label={t("Style")}
        wide
        value={style}
        choices={barStyles}
        onChoose={(chosen) => onSave({ style: chosen })}
      />
      {style === "ticked_line" ? (
        <Choice
          label={t("Ticks")}
          value={shown.ticks}
          choices={choices.scale_bar_element.ticks}
          onChoose={(ticks) => onSave({ ticks })}
        />
      ) : (
        <Choice
          label={t("Alignment")}
          value={shown.align}
          choices={choices.scale_bar_element.align}
          onChoose={(align) => onSave({ align })}
        />
      )}
      {ticked ? (
        <NumberOf label={t("Ticks, mm")} part="scale_bar_element" of="tick_mm" given={shown} onSave={onSave} />
      ) : (
        <NumberOf label={t("Height, mm")} part="scale_bar_element" of="height_mm" given={shown} onSave={onSave} />
      )}
      {style === "double_chequered" ? (
        <NumberOf label={t("Between rows, mm")} part="scale_bar_element" of="gap_mm" given={shown} onSave={onSave} />
      ) : (
        <NumberOf label={t("Line, mm")} part="scale_bar_element" of="stroke_mm" given={shown} onSave={onSave} />
      )}
      <NumberOf label={t("Type size, pt")} part="scale_bar_element" of="size_pt" given={shown} onSave={onSave} />
      <NumberOf label={t("Label gap, mm")} part="scale_bar_element" of="label_gap_mm" given={shown} onSave={onSave} />
      <HaloField halo={element.halo} onSave={(halo) => onSave({ halo })} />
      <Choice
        label={t("Backing")}
        value={element.backing ? "white" : "none"}
        choices={[
          ["none", t("none")],
          ["white", t("white")],
        ]}
        onChoose={(backing) =>
          onSave({ backing: backing === "none" ? undefined : { colour: "#ffffff", opacity: 0.85 } })
        }
      />
    </ColourBeside>
  );
}
