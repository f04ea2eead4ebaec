import { Box } from "@mui/material";
import { lazy, Suspense, type ComponentProps } from "react";
import type { GroundMap as Drawn } from "./GroundMap";

const Loaded = lazy(() => import("./GroundMap").then(({ GroundMap }) => ({ default: GroundMap })));

/** The map, whose own code comes after that of the step which it is on. */
export const GroundMap = (props: ComponentProps<typeof Drawn>) => (
  <Suspense fallback={<Box sx={{ flex: 1 }} />}>
    <Loaded {...props} />
  </Suspense>
);
