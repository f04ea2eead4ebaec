import { Choice } from "../fields/Choice";
import { Flag } from "../fields/Flag";
import { Measured } from "../fields/Measured";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { pageSizes } from "../generated/kinds";
import { Pair } from "../fields/Pair";
import type { FormOf } from "./order";

type Imposed = FormOf<"imposed">;

// How pages lie on the paper.
export function ImposedFields({
  form,
  change,
}: {
  form: Imposed;
  change: (patch: Partial<Imposed>) => Promise<unknown>;
}) {
  const imposed = filled(form, defaults.imposed_form);
  const several = imposed.lay === "several on one";
  const parts = imposed.lay === "parts of large pages";
  return (
    <Pair>
      <Choice
        label="Pages"
        wide
        value={imposed.lay}
        choices={[
          ["several on one", "Several on one side"],
          ["booklet", "A booklet to fold"],
          ["parts of large pages", "Large pages in parts"],
        ]}
        onChoose={(lay) => change({ lay })}
      />
      <Choice
        label="Paper"
        value={imposed.paper}
        choices={pageSizes.map((size) => [size, size] as const)}
        onChoose={(paper) => change({ paper: paper as Imposed["paper"] })}
      />
      <Choice
        label="Orientation"
        value={imposed.orientation}
        choices={[
          ["as fits", "As fits best"],
          ["portrait", "Portrait"],
          ["landscape", "Landscape"],
        ]}
        onChoose={(orientation) => change({ orientation })}
      />
      {several && (
        <>
          <Measured
            label="Beside each other"
            value={imposed.across}
            least={1}
            most={10}
            onSave={(n) => change({ across: Math.round(n) })}
          />
          <Measured
            label="Below each other"
            value={imposed.down}
            least={1}
            most={10}
            onSave={(n) => change({ down: Math.round(n) })}
          />
          <Measured
            label="Gap, mm"
            value={imposed.gap_mm}
            least={0}
            most={100}
            onSave={(gap_mm) => change({ gap_mm })}
          />
        </>
      )}
      <Measured
        label="Paper margin, mm"
        value={imposed.margin_mm}
        least={0}
        most={100}
        onSave={(margin_mm) => change({ margin_mm })}
      />
      {parts && (
        <Measured
          label="Overlap, mm"
          value={imposed.overlap_mm}
          least={0}
          most={100}
          onSave={(overlap_mm) => change({ overlap_mm })}
        />
      )}
      <Flag
        label={parts ? "Cut and register marks" : "Cut marks"}
        value={imposed.marks}
        onSave={(marks) => change({ marks })}
      />
      {!parts && (
        <Flag label="Never enlarged" value={imposed.true_size} onSave={(true_size) => change({ true_size })} />
      )}
    </Pair>
  );
}
