import { Box, Button, Typography } from "@mui/material";
import { Component, type ReactNode } from "react";
import { t } from "../texts/t";

/** When the page itself fails: say so, and offer the way back. All changes are with the server already. */
export class Mishap extends Component<{ children: ReactNode }, { failed: boolean }> {
  override state = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <Box component="main" role="alert" sx={{ display: "grid", placeContent: "center", gap: 2, height: "100%", p: 4 }}>
        <Typography component="h1" variant="h2">
          {t("This page has failed. Your changes are saved.")}
        </Typography>
        <Button variant="contained" onClick={() => window.location.reload()}>
          {t("Show the book again")}
        </Button>
      </Box>
    );
  }
}
