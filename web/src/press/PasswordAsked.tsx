import { Box, Button, TextField } from "@mui/material";
import { useState } from "react";
import { Banner } from "../frame/Banner";
import type { Passwords } from "./useRuns";
import { t } from "../texts/t";

/** Passwords of what is exported: they are in no order, and forgotten when the run ends. */
export function PasswordAsked({ onGive, onClose }: { onGive: (passwords: Passwords) => void; onClose: () => void }) {
  const [open, setOpen] = useState("");
  const [owner, setOwner] = useState("");
  return (
    <Banner kind="warning">
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          onGive({ password: open || undefined, owner_password: owner || undefined });
        }}
        sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap", width: "100%" }}
      >
        <TextField
          autoFocus
          type="password"
          sx={{ width: 250 }}
          label={t("Password to open")}
          value={open}
          onChange={(event) => setOpen(event.target.value)}
          slotProps={{ htmlInput: { autoComplete: "new-password", maxLength: 127 } }}
        />
        <TextField
          type="password"
          sx={{ width: 250 }}
          label={t("Password to change permissions")}
          value={owner}
          onChange={(event) => setOwner(event.target.value)}
          slotProps={{ htmlInput: { autoComplete: "new-password", maxLength: 127 } }}
        />
        <Button type="submit" variant="contained" disabled={open === "" && owner === ""}>
          {t("Export with these")}
        </Button>
        <Button color="inherit" onClick={onClose}>
          {t("Cancel")}
        </Button>
        <Box sx={{ fontSize: 12.5 }}>{t("They are deleted when the run ends.")}</Box>
      </Box>
    </Banner>
  );
}
