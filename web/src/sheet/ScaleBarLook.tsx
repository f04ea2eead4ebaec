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
export function LookFields({ element, onKeep }: { element: ScaleBarElement; onKeep: Keep }) {
  const shown = whole(element);
  const style = shown.style;
  const ticked = style === "ticked_line" || style === "two_units";
  return (
    <ColourBeside
      colour={
        <>
          <Colour label="Colour of the bar" value={shown.colour} onKeep={(colour) => onKeep({ colour })} />
          <Colour label="Light colour of the bar" value={shown.light} onKeep={(light) => onKeep({ light })} />
        </>
      }
    >
      <Choice label="Style" wide value={style} choices={barStyles} onChoose={(chosen) => onKeep({ style: chosen })} />
      {style === "ticked_line" ? (
        <Choice
          label="Ticks"
          value={shown.ticks}
          choices={[
            ["up", "up"],
            ["down", "down"],
            ["through", "through"],
          ]}
          onChoose={(ticks) => onKeep({ ticks })}
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
          onChoose={(align) => onKeep({ align })}
        />
      )}
      {ticked ? (
        <Measured
          label="Ticks, mm"
          value={shown.tick_mm}
          least={0.1}
          most={50}
          onKeep={(tick_mm) => onKeep({ tick_mm })}
        />
      ) : (
        <Measured
          label="Height, mm"
          value={shown.height_mm}
          least={0.1}
          most={50}
          onKeep={(height_mm) => onKeep({ height_mm })}
        />
      )}
      {style === "double_chequered" ? (
        <Measured
          label="Between rows, mm"
          value={shown.gap_mm}
          least={0}
          most={50}
          onKeep={(gap_mm) => onKeep({ gap_mm })}
        />
      ) : (
        <Measured
          label="Line, mm"
          value={shown.stroke_mm}
          least={0.01}
          most={5}
          onKeep={(stroke_mm) => onKeep({ stroke_mm })}
        />
      )}
      <Measured
        label="Type size, pt"
        value={shown.size_pt}
        least={1}
        most={100}
        onKeep={(size_pt) => onKeep({ size_pt })}
      />
      <Measured
        label="Label gap, mm"
        value={shown.label_gap_mm}
        least={0}
        most={50}
        onKeep={(label_gap_mm) => onKeep({ label_gap_mm })}
      />
      <HaloField halo={element.halo} onKeep={(halo) => onKeep({ halo })} />
      <Choice
        label="Backing"
        value={element.backing ? "white" : "none"}
        choices={[
          ["none", "none"],
          ["white", "white"],
        ]}
        onChoose={(backing) =>
          onKeep({ backing: backing === "none" ? undefined : { colour: "#ffffff", opacity: 0.85 } })
        }
      />
    </ColourBeside>
  );
}
