import type { Grid } from "../api/types";
import { Choice } from "../fields/Choice";
import { Colour } from "../fields/Colour";
import { ColourBeside } from "../fields/ColourBeside";
import { HaloField } from "../fields/HaloField";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { gridLooks } from "../generated/kinds";
import { limits } from "../generated/limits";
import { percentage } from "../fields/limits";
import { NumberOf } from "../fields/NumberOf";
import { choices } from "../generated/choices";
import { t } from "../texts/t";

// "2nd", "5th", "11th"
const ordinal = (n: number) => {
  const teens = n % 100 > 10 && n % 100 < 14;
  return `${n}${teens ? "th" : (["th", "st", "nd", "rd"][n % 10] ?? "th")}`;
};

const DASHES: Record<string, number[] | undefined> = {
  solid: undefined,
  dashed: [2.4, 1.2],
  "short dashes": [1, 0.6],
  dots: [0.2, 0.8],
};

/** How the lines of a grid are drawn: look, colour, widths, index lines. */
export function GridLookFields({ grid, keep }: { grid: Grid; keep: (patch: Partial<Grid>) => Promise<unknown> }) {
  const drawn = filled(grid.stroke, defaults.stroke);
  const shown = filled(grid, defaults.grid);
  const look = shown.look;
  const shapes = look === "dots" || look === "squares";
  const stroke = (patch: Partial<Grid["stroke"]>) => keep({ stroke: { ...grid.stroke, ...patch } });
  const dash =
    Object.keys(DASHES).find((title) => JSON.stringify(DASHES[title]) === JSON.stringify(grid.stroke.dash_mm)) ?? "own";
  const every = grid.index_lines?.every;
  return (
    <ColourBeside
      colour={
        <Colour
          label={t("Colour of %{value}", { value: grid.title ?? grid.id })}
          value={drawn.colour}
          onSave={(colour) => stroke({ colour })}
        />
      }
    >
      <Choice label={t("Drawn as")} value={look} choices={gridLooks} onChoose={(chosen) => keep({ look: chosen })} />
      {shapes ? (
        <NumberOf label={t("Size, mm")} part="grid" of="size_mm" given={shown} onSave={keep} />
      ) : (
        <NumberOf label={t("Width, mm")} part="stroke" of="width_mm" given={drawn} onSave={stroke} />
      )}
      {look === "crosses" && <NumberOf label={t("Arms, mm")} part="grid" of="arm_mm" given={shown} onSave={keep} />}
      {look === "ticks" && <NumberOf label={t("Length, mm")} part="grid" of="tick_mm" given={shown} onSave={keep} />}
      {look === "ticks" && (
        <Choice
          label={t("Side of the ticks")}
          value={shown.ticks}
          choices={choices.grid.ticks}
          onChoose={(ticks) => keep({ ticks })}
        />
      )}
      {look === "lines" && (
        <Choice
          label={t("Dash")}
          value={dash}
          choices={[...Object.keys(DASHES), ...(dash === "own" ? ["own"] : [])].map((title) => [title, title] as const)}
          onChoose={(title) => stroke({ dash_mm: DASHES[title] })}
        />
      )}
      <Measured
        label={t("Opacity, %")}
        value={Math.round(drawn.opacity * 100)}
        limits={percentage}
        onSave={(percent) => stroke({ opacity: percent / 100 })}
      />
      <Choice
        label={t("Index lines")}
        value={every ? String(every) : "none"}
        choices={[
          ["none", t("none")],
          ...[...new Set([2, 4, 5, 6, 10, ...(every ? [every] : [])])]
            .sort((a, b) => a - b)
            .map((n) => [String(n), t("every %{ordinal}", { ordinal: ordinal(n) })] as const),
        ]}
        onChoose={(n) => keep({ index_lines: n === "none" ? undefined : { ...grid.index_lines, every: Number(n) } })}
      />
      {every && !shapes && (
        <Measured
          label={t("Index line width, mm")}
          value={grid.index_lines?.stroke?.width_mm ?? drawn.width_mm * 2}
          limits={limits.stroke.width_mm}
          onSave={(width_mm) => keep({ index_lines: { every, stroke: { ...grid.index_lines?.stroke, width_mm } } })}
        />
      )}
      <HaloField halo={grid.halo} onSave={(halo) => keep({ halo })} />
      <Choice
        label={t("Draw order")}
        wide
        value={shown.draw_order}
        choices={choices.grid.draw_order}
        onChoose={(draw_order) => keep({ draw_order: draw_order === "above" ? undefined : draw_order })}
      />
    </ColourBeside>
  );
}
