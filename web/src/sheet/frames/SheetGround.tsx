import { Box, Button } from "@mui/material";
import { useChange } from "../../api/book";
import { ratio } from "../../api/words";
import { readScale } from "../../numbers/read";
import { toldElsewhere } from "../../api/toldElsewhere";
import { Field } from "../../fields/Field";
import { Measured } from "../../fields/Measured";
import { nextScales } from "../../fields/nextScales";
import { Pair } from "../../fields/Pair";
import { Heading } from "../../frame/Card";
import { useSheet } from "../../frame/useSheet";
import { limits } from "../../generated/limits";
import { t } from "../../texts/t";

/** The ground of the sheet that is looked at: to change it is to change its cell. */
export function SheetGround() {
  const { ask } = useChange();
  const { cell } = useSheet();
  if (!cell) return null;
  const change = (body: object) => ask("cells", { cells: [cell.id], ...body });
  const [x, y] = cell.centre;
  const { larger, smaller } = nextScales(cell.scale);
  return (
    <>
      <Heading text={t("Ground of sheet %{name}", { name: cell.name })} />
      <Box sx={{ fontSize: 12.5, color: "text.secondary", mb: 1 }}>
        {t(
          "To change it is to change this sheet’s cell. Hold Space and drag, or double-click the frame, to move it by hand.",
        )}
      </Box>
      <Pair>
        <Measured
          label={t("Centre easting")}
          value={Math.round(x * 1000) / 1000}
          limits={limits.cell_by_hand.centre}
          onSave={(wanted) => change({ do: "move", dx: wanted - x, dy: 0 })}
        />
        <Measured
          label={t("Centre northing")}
          value={Math.round(y * 1000) / 1000}
          limits={limits.cell_by_hand.centre}
          onSave={(wanted) => change({ do: "move", dx: 0, dy: wanted - y })}
        />
        <Field
          label={t("Scale")}
          value={ratio(cell.scale)}
          onSave={async (text) => {
            const scale = readScale(text);
            if (scale === null || scale < 1) throw new Error(t("Enter a scale, such as 1:2,500."));
            await change({ do: "scale", scale });
          }}
        />
        <Measured
          label={t("Rotation, ° clockwise")}
          value={cell.rotation_deg}
          limits={{ least: -180, most: 180 }}
          onSave={(rotation_deg) => change({ do: "rotate", rotation_deg })}
        />
      </Pair>
      <Box sx={{ display: "flex", gap: 0.5, mt: 0.5 }}>
        <Button
          variant="outlined"
          disabled={!larger}
          onClick={() => void change({ do: "scale", scale: larger }).catch(toldElsewhere)}
        >
          {larger ? t("Larger, %{larger}", { larger: ratio(larger) }) : t("Larger")}
        </Button>
        <Button
          variant="outlined"
          disabled={!smaller}
          onClick={() => void change({ do: "scale", scale: smaller }).catch(toldElsewhere)}
        >
          {smaller ? t("Smaller, %{smaller}", { smaller: ratio(smaller) }) : t("Smaller")}
        </Button>
      </Box>
    </>
  );
}
