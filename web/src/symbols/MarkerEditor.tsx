import { Box, Button, Popover, Typography } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useBook } from "../api/book";
import { get, upload } from "../api/client";
import type { Book, Drawing, Marker } from "../api/types";
import { Swatch } from "./Swatch";
import { Colour } from "../fields/Colour";
import { Measured } from "../fields/Measured";
import { Part } from "./SymbolEditor";
import { FileInput } from "../fields/FileInput";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { limits } from "../generated/limits";
import { t } from "../texts/t";

/** The mark of a point: one of the drawings, its colour and size, a line round it. */
export function MarkerEditor({
  marker,
  name,
  onSave,
}: {
  marker: Marker;
  name: string;
  onSave: (marker: Marker) => Promise<unknown>;
}) {
  const outline = marker.outline;
  const shown = filled(outline, defaults.stroke);
  return (
    <>
      <Part
        title={t("Marker")}
        colour={
          <Colour
            label={t("Marker colour of %{name}", { name })}
            value={marker.colour}
            onSave={(colour) => onSave({ ...marker, colour })}
          />
        }
      >
        <Measured
          label={t("Size, mm")}
          value={marker.size_mm}
          limits={limits.symbol_marker.size_mm}
          onSave={(size_mm) => onSave({ ...marker, size_mm })}
        />
        <Drawings marker={marker} name={name} onChoose={(shape) => onSave({ ...marker, shape })} />
      </Part>
      {outline ? (
        <Part
          title={t("Marker outline")}
          onRemove={() =>
            onSave(Object.fromEntries(Object.entries(marker).filter(([key]) => key !== "outline")) as unknown as Marker)
          }
          removes={t("Remove the outline of the marker of %{name}", { name })}
          colour={
            <Colour
              label={t("Colour of the marker outline of %{name}", { name })}
              value={shown.colour}
              onSave={(colour) => onSave({ ...marker, outline: { ...outline, colour } })}
            />
          }
        >
          <Measured
            label={t("Width, mm")}
            value={shown.width_mm}
            limits={limits.stroke.width_mm}
            onSave={(width_mm) => onSave({ ...marker, outline: { ...outline, width_mm } })}
          />
        </Part>
      ) : (
        <Button
          sx={{ justifySelf: "start" }}
          onClick={() => void onSave({ ...marker, outline: { colour: "#fffdf6", width_mm: 0.2 } })}
        >
          {t("Marker outline")}
        </Button>
      )}
    </>
  );
}

function Drawings({
  marker,
  name,
  onChoose,
}: {
  marker: Marker;
  name: string;
  onChoose: (shape: string) => Promise<unknown>;
}) {
  const book = useBook();
  const client = useQueryClient();
  const anchor = useRef<HTMLButtonElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const [open, setOpen] = useState(false);
  const [notice, setNotice] = useState<string | null>(null);
  const shipped = useQuery({
    queryKey: ["markers"],
    queryFn: ({ signal }) => get<Drawing[]>("/api/markers", signal),
    staleTime: Infinity,
  });
  const drawings = [...(book.document.markers ?? []), ...(shipped.data ?? [])];
  const current = drawings.find((known) => known.id === marker.shape);
  const bring = async (file: File | undefined) => {
    if (!file) return;
    setNotice(null);
    try {
      const made = await upload<{ id: string; left_out: string[]; book: Book }>(`/api/books/${book.id}/markers`, file);
      client.setQueryData(["book", book.id], made.book);
      if (made.left_out.length) setNotice(t("Not imported: %{value}.", { value: made.left_out.join(", ") }));
    } catch (error) {
      setNotice((error as Error).message);
    }
  };
  return (
    <>
      <Button
        ref={anchor}
        variant="outlined"
        aria-haspopup="dialog"
        aria-label={t("Drawing of the marker of %{name}: %{value}", { name, value: current?.title ?? marker.shape })}
        onClick={() => setOpen(true)}
        sx={{
          minWidth: 0,
          px: 0.5,
          gap: 0.5,
          textTransform: "none",
          overflow: "hidden",
          whiteSpace: "nowrap",
          justifyContent: "flex-start",
        }}
      >
        {current && <Swatch svg={current.svg} width={22} height={22} />}
        {current?.title ?? marker.shape}
      </Button>
      <Popover
        open={open}
        onClose={() => setOpen(false)}
        anchorEl={() => anchor.current}
        anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        transformOrigin={{ vertical: "top", horizontal: "right" }}
        slotProps={{
          paper: {
            role: "dialog",
            "aria-label": t("Drawings for markers"),
            sx: { border: 1, borderColor: "divider", p: 1.5, width: 330 },
          },
        }}
      >
        <Box sx={{ display: "grid", gridTemplateColumns: "repeat(7, 1fr)", gap: 0.5 }}>
          {drawings.map((known) => (
            <Button
              key={known.id}
              aria-label={known.title}
              title={known.title}
              aria-pressed={known.id === marker.shape}
              variant={known.id === marker.shape ? "outlined" : "text"}
              sx={{ minWidth: 0, p: 0.5 }}
              onClick={() =>
                void onChoose(known.id).then(
                  () => setOpen(false),
                  (error: Error) => setNotice(error.message),
                )
              }
            >
              <Swatch svg={known.svg} width={30} height={30} />
            </Button>
          ))}
        </Box>
        <FileInput
          ref={input}
          label={t("Your own marker, as SVG")}
          accept=".svg,image/svg+xml"
          onFiles={([file]) => void bring(file)}
        />
        <Button sx={{ mt: 1 }} variant="outlined" onClick={() => input.current?.click()}>
          {t("Import your own SVG")}
        </Button>
        {notice && (
          <Typography role="status" sx={{ fontSize: 12.5, mt: 0.5 }}>
            {notice}
          </Typography>
        )}
        <Typography sx={{ fontSize: 12.5, color: "text.secondary", mt: 0.5 }}>
          {t("Only shapes are imported; those filled with currentColor take the marker’s colour.")}
        </Typography>
      </Popover>
    </>
  );
}
