import BackIcon from "@mui/icons-material/ArrowBack";
import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useBook, useChange } from "../api/book";
import { get, upload } from "../api/client";
import type { Book, Extent, IndexRun } from "../api/types";
import { useCover } from "../api/indexAnswer";
import { settled } from "../api/indexRun";
import { area } from "../api/words";
import { toldElsewhere } from "../api/toldElsewhere";
import { Card, Heading } from "../frame/Card";
import { FileInput } from "../fields/FileInput";
import { cellEndings, cellFormats } from "../generated/kinds";
import type { FeatureCover, Listed } from "../generated/answers";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

/** What the cells cover and miss, by exact geometry; cells as files. */
export function CoverCard({
  onGo,
  onPick,
  onBack,
}: {
  onGo: (box: Extent) => void;
  onPick: (number: number) => void;
  onBack: () => void;
}) {
  const book = useBook();
  const { ask } = useChange();
  const client = useQueryClient();
  const cover = useCover();
  const [layer, setLayer] = useState("");
  const [notice, setNotice] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const features = useQuery({
    queryKey: ["cover", book.id, book.revision, layer],
    queryFn: async ({ signal }) => {
      const answer = await get<FeatureCover | { run: IndexRun }>(`/api/books/${book.id}/cover/${layer}`, signal);
      return (await settled<FeatureCover>(client, book.id, answer, signal))!;
    },
    retry: false,
    enabled: layer !== "",
  });
  const middle = (box: Extent) => ({ x: (box[0] + box[2]) / 2, y: (box[1] + box[3]) / 2 });
  const bring = async (file: File | undefined) => {
    if (!file) return;
    setNotice(null);
    await upload<Book>(`/api/books/${book.id}/cells/file`, file).then(
      (fresh) => client.setQueryData(["book", book.id], fresh),
      (error: Error) =>
        setNotice(t("%{name} was not imported. %{message}", { name: file.name, message: error.message })),
    );
  };
  const data = cover.data;
  return (
    <Card help="coverage" title={t("Coverage")} note={t("computed from the geometry")}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        {t("Back to the cell")}
      </Button>
      {data && (
        <>
          <Heading
            text={
              data.pieces!.length === 0
                ? t("Nothing is left out")
                : t("%{left_out_m2} left out", { left_out_m2: area(data.left_out_m2) })
            }
          />
          {data.pieces!.length > 0 && (
            <Box component="ul" aria-label={t("Pieces left out")} sx={{ m: 0, p: 0, listStyle: "none" }}>
              {data.pieces!.slice(0, 50).map((piece, index) => (
                <Box
                  component="li"
                  key={index}
                  sx={{
                    display: "flex",
                    alignItems: "center",
                    gap: 0.5,
                    fontSize: 14,
                    borderBottom: 1,
                    borderColor: "divider",
                  }}
                >
                  <Box sx={{ flex: 1 }}>{area(piece.m2)}</Box>
                  <Button
                    onClick={() => onGo(piece.box)}
                    aria-label={t("Go there: piece of %{m2}", { m2: area(piece.m2) })}
                  >
                    {t("Go there")}
                  </Button>
                  <Button onClick={() => void ask("cells", { do: "add", ...middle(piece.box) }).catch(toldElsewhere)}>
                    {t("Add a cell")}
                  </Button>
                </Box>
              ))}
            </Box>
          )}
          <Typography sx={{ fontSize: 14, mt: 1 }}>
            {rich(t("<1/> of ground on more than one sheet, <2/> % of all that is shown."), {
              1: area(data.overlap_m2!),
              2: (data.overlap_share! * 100).toFixed(1),
            })}
          </Typography>
          {data.almost_empty!.length > 0 && (
            <Typography sx={{ fontSize: 14, mt: 1 }}>
              {rich(t("Almost nothing of the area on <1/>"), {
                1: data.almost_empty!.slice(0, 12).map((number) => (
                  <Button
                    key={number}
                    sx={{ minWidth: 30, minHeight: 26, px: 0.5, py: 0 }}
                    onClick={() => onPick(number)}
                  >
                    {book.cells.find((cell) => cell.number === number)?.name}
                  </Button>
                )),
              })}
            </Typography>
          )}
        </>
      )}
      {cover.error && <Typography role="alert">{cover.error.message}</Typography>}
      <Heading text={t("Features on the sheets")} />
      <TextField
        select
        fullWidth
        label={t("Of layer")}
        value={layer}
        onChange={(event) => setLayer(event.target.value)}
      >
        {book.document.layers
          .filter((known) => !known.raster)
          .map((known) => (
            <MenuItem key={known.id} value={known.id}>
              {known.title}
            </MenuItem>
          ))}
      </TextField>
      {features.data && (
        <>
          <Found title={t("on no sheet")} list={features.data.missing} of={features.data.count} onGo={onGo} />
          <Found
            title={t("cut by an edge wherever they appear")}
            list={features.data.cut}
            of={features.data.count}
            onGo={onGo}
          />
          <Found
            title={t("on more than one sheet")}
            list={features.data.several}
            of={features.data.count}
            onGo={onGo}
          />
        </>
      )}
      <Heading text={t("Cells as files")} />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
        {cellFormats.map(([format, title]) => (
          <Button key={format} variant="outlined" href={`/api/books/${book.id}/cells/file?format=${format}`}>
            {title}
          </Button>
        ))}
      </Box>
      <FileInput
        ref={input}
        label={t("File of cells")}
        accept={cellEndings.join(",")}
        onFiles={([file]) => void bring(file)}
      />
      <Button sx={{ mt: 0.5 }} onClick={() => input.current?.click()}>
        {t("Import cells")}
      </Button>
      <Typography sx={{ fontSize: 12.5, color: "text.secondary" }}>
        {t("Names, places, scales and rotations in the file replace these; undo brings these back.")}
      </Typography>
      {notice && (
        <Typography role="alert" sx={{ fontSize: 13, color: "error.main" }}>
          {notice}
        </Typography>
      )}
    </Card>
  );
}

function Found({ title, list, of, onGo }: { title: string; list: Listed; of: number; onGo: (box: Extent) => void }) {
  return (
    <Box sx={{ fontSize: 14, mt: 1 }}>
      {rich(t("<1/> of <2/> <3/><4/>"), {
        1: <b>{list.count}</b>,
        2: of,
        3: title,
        4: list.count > 0 && (
          <Box
            sx={{ maxHeight: 90, overflow: "auto" }}
            tabIndex={0}
            role="region"
            aria-label={t("Features %{title}", { title })}
          >
            {list.first.map((feature) => (
              <Button
                key={feature.id}
                disabled={!feature.box}
                sx={{ minWidth: 30, minHeight: 26, px: 0.75, py: 0 }}
                onClick={() => onGo(feature.box!)}
              >
                {feature.name}
              </Button>
            ))}
          </Box>
        ),
      })}
    </Box>
  );
}
