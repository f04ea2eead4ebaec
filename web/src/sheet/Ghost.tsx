import { Box } from "@mui/material";

/** What is being tried, over the page; the server's own drawing, escaped where it is written. */
export function Ghost({ svg }: { svg: string }) {
  return (
    <Box
      aria-hidden
      data-ghost=""
      sx={{
        position: "absolute",
        inset: 0,
        pointerEvents: "none",
        "& svg": { display: "block", width: "100%", height: "100%" },
      }}
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}
