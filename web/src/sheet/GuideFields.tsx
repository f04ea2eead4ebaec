import { Box } from "@mui/material";
import type { Guides } from "../api/types";
import { Field } from "../fields/Field";
import { Heading } from "../frame/Card";
import { readLength } from "../numbers/lengths";
import { t } from "../texts/t";

/** Places of the guides as numbers, for those who do not pull them out of the rulers. */
export function GuideFields({ guides, onSave }: { guides: Guides; onSave: (guides: Guides) => Promise<unknown> }) {
  return (
    <>
      <Heading text={t("Guides")} />
      <Box sx={{ display: "grid", gap: 1 }}>
        {(["x", "y"] as const).map((axis) => (
          <Field
            key={axis}
            label={axis === "x" ? t("Vertical, mm from the left") : t("Horizontal, mm from the top")}
            value={(guides[axis] ?? []).join("; ")}
            placeholder={t("none")}
            onSave={async (text) => {
              const places = text
                .split(";")
                .filter((part) => part.trim() !== "")
                .map((part) => readLength(part, "mm"));
              if (places.some((place) => place === null))
                throw new Error(t("Enter places separated by semicolons, such as 20; 45.5; 297/2."));
              await onSave({ ...guides, [axis]: (places as number[]).sort((a, b) => a - b) });
            }}
          />
        ))}
      </Box>
    </>
  );
}
