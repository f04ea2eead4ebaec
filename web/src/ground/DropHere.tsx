import { Box } from "@mui/material";
import { t } from "../texts/t";

/** What the map shows while files are over it. */
export function DropHere() {
  return (
    <Box
      sx={{
        position: "absolute",
        inset: 12,
        zIndex: 20,
        border: 3,
        borderStyle: "dashed",
        borderColor: "primary.main",
        bgcolor: "#fffdf6cc",
        color: "#1f2a30",
        display: "grid",
        placeItems: "center",
        fontSize: 22,
        fontWeight: 700,
        pointerEvents: "none",
      }}
    >
      {t("Drop data files here")}
    </Box>
  );
}
