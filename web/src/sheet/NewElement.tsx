import { Button, Menu, MenuItem } from "@mui/material";
import { useState } from "react";
import { elements as elementKinds } from "../generated/kinds";
import { traits, type ElementKind } from "./kinds";
import { useHand } from "./hand";
import { useLayout } from "./layout";
import type { Elements } from "./useElements";
import { toldElsewhere } from "../api/toldElsewhere";
import { t } from "../texts/t";

/** A new element comes to the middle of the page and is selected. */
export function NewElement({ elements }: { elements: Elements }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { role, frame } = useLayout();
  const { move } = useHand();
  const { page_width_mm: width, page_height_mm: height } = frame;
  const create = (kind: ElementKind) => {
    const [w, h] = traits[kind].sizeMm;
    setAnchor(null);
    void elements.create(kind, [(width - w) / 2, (height - h) / 2, w, h]).catch(toldElsewhere);
  };
  const globe = () => {
    setAnchor(null);
    void elements
      .createWith("New globe", "inset", [(width - 40) / 2, (height - 40) / 2, 40, 40], {
        title: t("Globe"),
        globe: {},
        layers: "none",
        outlines: role === "sheets" ? [{}] : undefined,
      })
      .catch(toldElsewhere);
  };
  const detail = () => {
    setAnchor(null);
    move({ do: "detail", on: true });
  };
  return (
    <>
      <Button aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {t("New element")}
      </Button>
      <Menu
        open={!!anchor}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        slotProps={{
          list: { dense: true, "aria-label": t("Kinds of elements") },
          paper: { role: "dialog", "aria-label": t("New element") },
        }}
      >
        {elementKinds
          .filter(([kind]) => traits[kind].roles.includes(role))
          .map(([kind, title]) => (
            <MenuItem key={kind} onClick={() => create(kind)}>
              {title}
            </MenuItem>
          ))}
        <MenuItem onClick={globe}>{t("Globe")}</MenuItem>
        {role === "sheets" && <MenuItem onClick={detail}>{t("Detail of the map, with its outline")}</MenuItem>}
      </Menu>
    </>
  );
}
