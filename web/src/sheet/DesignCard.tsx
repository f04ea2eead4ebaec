import BackIcon from "@mui/icons-material/ArrowBack";
import CloseIcon from "@mui/icons-material/Close";
import { Box, Button, IconButton, Typography } from "@mui/material";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useBook, useChange } from "../api/book";
import { get, post, upload } from "../api/client";
import type { Book } from "../api/types";
import { Card, Heading } from "../frame/Card";
import { DrawnPicture, useServerPicture } from "../frame/ServerPicture";
import { Field } from "../fields/Field";
import { FileInput } from "../fields/FileInput";
import type { Designs } from "../generated/answers";
import { t } from "../texts/t";

/** Ready-made designs with a picture each, those that were kept, and designs as files. */
export function DesignCard({ onBack }: { onBack: () => void }) {
  const book = useBook();
  const { ask } = useChange();
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const designs = useQuery({ queryKey: ["designs"], queryFn: ({ signal }) => get<Designs>("/api/designs", signal) });
  const again = () => client.invalidateQueries({ queryKey: ["designs"] });
  const attempt = (work: Promise<unknown>) => {
    setProblem(null);
    work.catch((error: Error) => setProblem(error.message));
  };
  const bring = async (file: File | undefined) => {
    if (!file) return;
    client.setQueryData(
      ["book", book.id],
      await upload<Book>(`/api/books/${book.id}/design/file`, file).catch((error: Error) => {
        throw new Error(t("%{name} was not imported. %{message}", { name: file.name, message: error.message }));
      }),
    );
  };
  return (
    <Card help="designs" title={t("Designs")} note={t("of the whole page")}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 1 }}>
        {t("The page")}
      </Button>
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mb: 1 }}>
          {problem}
        </Typography>
      )}
      <Box
        component="ul"
        aria-label={t("Built-in designs")}
        sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}
      >
        {(designs.data?.shipped ?? []).map(({ name, title, note }) => (
          <li key={name}>
            <Button
              onClick={() => attempt(ask("design", { name }))}
              variant={book.document.layout.name === name ? "outlined" : "text"}
              aria-pressed={book.document.layout.name === name}
              sx={{ display: "block", p: 0.5, width: "100%", textAlign: "left", lineHeight: 1.3 }}
            >
              <DesignPicture name={name} />
              {title}
              <Box component="span" sx={{ display: "block", fontSize: 12, fontWeight: 400, color: "text.secondary" }}>
                {note}
              </Box>
            </Button>
          </li>
        ))}
      </Box>
      <Typography component="h3" sx={{ fontSize: 14, fontWeight: 700, mt: 2 }}>
        {t("Saved designs")}
      </Typography>
      {designs.data?.kept.length === 0 && (
        <Typography sx={{ fontSize: 13, color: "text.secondary" }}>
          {t("None yet. Enter a name to save this page as a design for any book.")}
        </Typography>
      )}
      {(designs.data?.kept ?? []).map((row) => (
        <Box key={row.id} sx={{ display: "flex", alignItems: "flex-end", gap: 0.5 }}>
          <Field
            label={t("Name")}
            value={row.name}
            onSave={async (name) => {
              await post(`/api/designs/kept/${row.id}`, { name }, { method: "PATCH" });
              await again();
            }}
          />
          <Button
            aria-label={t("Use %{name}", { name: row.name })}
            onClick={() => attempt(ask("design", { kept: row.id, name: row.name }))}
          >
            {t("Use")}
          </Button>
          <IconButton
            size="small"
            aria-label={t("Delete %{name}", { name: row.name })}
            onClick={() => attempt(post(`/api/designs/kept/${row.id}`, {}, { method: "DELETE" }).then(again))}
          >
            <CloseIcon sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      <Box sx={{ mt: 1 }}>
        <Field
          label={t("Save this page as")}
          value=""
          placeholder={t("name of the design")}
          onSave={async (name) => {
            await post(`/api/books/${book.id}/design/keep`, { name });
            await again();
          }}
        />
      </Box>
      <Heading text={t("As a file")} />
      <FileInput
        ref={input}
        label={t("Design file")}
        accept=".json,application/json"
        onFiles={([file]) => attempt(bring(file))}
      />
      <Box sx={{ display: "flex", gap: 0.5 }}>
        <Button variant="outlined" href={`/api/books/${book.id}/design/file`}>
          {t("Export this design")}
        </Button>
        <Button variant="outlined" onClick={() => input.current?.click()}>
          {t("Import a design")}
        </Button>
      </Box>
    </Card>
  );
}

// The middle sheet as a design would make it.
function DesignPicture({ name }: { name: string }) {
  const book = useBook();
  const picture = useServerPicture(`/api/books/${book.id}/designs/${name}.svg?r=${book.revision}`);
  return (
    <DrawnPicture
      picture={picture}
      sx={{
        display: "block",
        height: 74,
        maxWidth: "100%",
        aspectRatio: `${book.frame.page_width_mm} / ${book.frame.page_height_mm}`,
        mx: "auto",
        mb: 0.5,
        bgcolor: "#fff",
        border: 1,
        borderColor: "divider",
      }}
    />
  );
}
