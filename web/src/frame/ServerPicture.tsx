import { Box, Button, type SxProps } from "@mui/material";
import { useEffect, useRef, useState, type ReactNode } from "react";
import { getText } from "../api/client";
import type { Turns } from "./turns";
import { t } from "../texts/t";

// What a picture of the server's came to: its address, or why there is none.
export interface ServerPicture {
  // Undefined until its turn has come.
  src: string | undefined;
  problem: string | null;
  asking: boolean;
  // Does it come though nobody has scrolled to it?
  eager: boolean;
  onLoad: () => void;
  onError: () => void;
  again: () => void;
}

/**
 * A picture that does not come is asked for once more by itself, which tells what is the matter; then by hand. turns:
 * it waits for its turn among those of its kind.
 */
export function useServerPicture(path: string, turns?: Turns): ServerPicture {
  const [problem, setProblem] = useState<string | null>(null);
  const [asking, setAsking] = useState(false);
  const [drawn, setDrawn] = useState<string | null>(null);
  const [asked, setAsked] = useState<string | null>(turns ? null : path);
  const over = useRef(() => {});
  useEffect(() => {
    if (!turns) return setAsked(path);
    over.current = turns.take(() => setAsked(path));
    return () => over.current();
  }, [path, turns]);
  useEffect(() => {
    setProblem(null);
    setAsking(false);
    setDrawn(null);
  }, [path]);
  useEffect(() => () => (drawn ? URL.revokeObjectURL(drawn) : undefined), [drawn]);
  const again = () => {
    setAsking(true);
    getText(path).then(
      (svg) => {
        setDrawn(URL.createObjectURL(new Blob([svg], { type: "image/svg+xml" })));
        setProblem(null);
        setAsking(false);
      },
      (error: Error) => {
        setProblem(error.message);
        setAsking(false);
      },
    );
  };
  return {
    src: drawn ?? asked ?? undefined,
    problem,
    asking,
    eager: turns !== undefined,
    again,
    onLoad: () => over.current(),
    onError: () => {
      over.current();
      if (!asking && !problem) again();
    },
  };
}

/** The picture itself, or a plain place where there is none. */
export function DrawnPicture({ picture, sx }: { picture: ServerPicture; sx: SxProps }) {
  if (picture.problem)
    return (
      <Box sx={{ ...sx, display: "grid", placeItems: "center", fontSize: 12, color: "text.secondary" } as SxProps}>
        {t("Not drawn")}
      </Box>
    );
  return (
    <Box
      component="img"
      loading={picture.eager ? "eager" : "lazy"}
      alt=""
      draggable={false}
      src={picture.src}
      onLoad={picture.onLoad}
      onError={picture.onError}
      sx={sx}
    />
  );
}

/** Why there is no picture, and a way to try again; nothing while there is one. name: of what is shown. */
export function PictureProblem({
  picture,
  name,
  small = false,
}: {
  picture: ServerPicture;
  name: string;
  small?: boolean;
}): ReactNode {
  if (!picture.problem) return null;
  const button = (
    <Button
      size="small"
      title={picture.problem}
      aria-label={t("Draw %{name} again", { name })}
      disabled={picture.asking}
      onClick={picture.again}
      sx={{ minHeight: 24, py: 0, px: 0.75, fontSize: 12 }}
    >
      {t("Try again")}
    </Button>
  );
  if (small) return button;
  return (
    <Box role="status" sx={{ fontSize: 13, color: "text.secondary", mt: 0.5 }}>
      {picture.problem} {button}
    </Box>
  );
}
