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

/** How a scale bar is drawn. */
export function LookFields({ element, onSave }: { element: ScaleBarElement; onSave: Keep }) {
  const shown = whole(element);
  const style = shown.style;
  const ticked = style === "ticked_line" || style === "two_units";
  return (
    <ColourBeside
      colour={
        <>
          <Colour label="Colour of the bar" value={shown.colour} onSave={(colour) => onSave({ colour })} />
          <Colour label="Light colour of the bar" value={shown.light} onSave={(light) => onSave({ light })} />
        </>
      }
    >
      <Choice label="Style" wide value={style} choices={barStyles} onChoose={(chosen) => onSave({ style: chosen })} />
      {style === "ticked_line" ? (
        <Choice
          label="Ticks"
          value={shown.ticks}
          choices={choices.scale_bar_element.ticks}
          onChoose={(ticks) => onSave({ ticks })}
        />
      ) : (
        <Choice
          label="Alignment"
          value={shown.align}
          choices={choices.scale_bar_element.align}
          onChoose={(align) => onSave({ align })}
        />
      )}
      {ticked ? (
        <NumberOf label="Ticks, mm" part="scale_bar_element" of="tick_mm" given={shown} onSave={onSave} />
      ) : (
        <NumberOf label="Height, mm" part="scale_bar_element" of="height_mm" given={shown} onSave={onSave} />
      )}
      {style === "double_chequered" ? (
        <NumberOf label="Between rows, mm" part="scale_bar_element" of="gap_mm" given={shown} onSave={onSave} />
      ) : (
        <NumberOf label="Line, mm" part="scale_bar_element" of="stroke_mm" given={shown} onSave={onSave} />
      )}
      <NumberOf label="Type size, pt" part="scale_bar_element" of="size_pt" given={shown} onSave={onSave} />
      <NumberOf label="Label gap, mm" part="scale_bar_element" of="label_gap_mm" given={shown} onSave={onSave} />
      <HaloField halo={element.halo} onSave={(halo) => onSave({ halo })} />
      <Choice
        label="Backing"
        value={element.backing ? "white" : "none"}
        choices={[
          ["none", "none"],
          ["white", "white"],
        ]}
        onChoose={(backing) =>
          onSave({ backing: backing === "none" ? undefined : { colour: "#ffffff", opacity: 0.85 } })
        }
      />
    </ColourBeside>
  );
}
