import type { ScaleBarElement } from "../api/types";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { HaloField } from "../fields/HaloField";
import { Measured } from "../fields/Measured";
import { barStyles } from "../generated/kinds";
import { whole } from "./kinds";
import type { Keep } from "./scaleBar";

// How a scale bar is drawn.
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
          choices={[
            ["up", "up"],
            ["down", "down"],
            ["through", "through"],
          ]}
          onChoose={(ticks) => onSave({ ticks })}
        />
      ) : (
        <Choice
          label="Alignment"
          value={shown.align}
          choices={[
            ["left", "left"],
            ["centre", "centred"],
            ["right", "right"],
          ]}
          onChoose={(align) => onSave({ align })}
        />
      )}
      {ticked ? (
        <Measured
          label="Ticks, mm"
          value={shown.tick_mm}
          least={0.1}
          most={50}
          onSave={(tick_mm) => onSave({ tick_mm })}
        />
      ) : (
        <Measured
          label="Height, mm"
          value={shown.height_mm}
          least={0.1}
          most={50}
          onSave={(height_mm) => onSave({ height_mm })}
        />
      )}
      {style === "double_chequered" ? (
        <Measured
          label="Between rows, mm"
          value={shown.gap_mm}
          least={0}
          most={50}
          onSave={(gap_mm) => onSave({ gap_mm })}
        />
      ) : (
        <Measured
          label="Line, mm"
          value={shown.stroke_mm}
          least={0.01}
          most={5}
          onSave={(stroke_mm) => onSave({ stroke_mm })}
        />
      )}
      <Measured
        label="Type size, pt"
        value={shown.size_pt}
        least={1}
        most={100}
        onSave={(size_pt) => onSave({ size_pt })}
      />
      <Measured
        label="Label gap, mm"
        value={shown.label_gap_mm}
        least={0}
        most={50}
        onSave={(label_gap_mm) => onSave({ label_gap_mm })}
      />
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
