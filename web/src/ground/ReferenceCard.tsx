import BackIcon from "@mui/icons-material/ArrowBack";
import CloseIcon from "@mui/icons-material/Close";
import WarningIcon from "@mui/icons-material/WarningAmberOutlined";
import { Box, Button, IconButton, TextField, Typography } from "@mui/material";
import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useBook } from "../api/book";
import { Refusal, get, post } from "../api/client";
import type { Book } from "../api/types";
import { Choice } from "../fields/Choice";
import { Field } from "../fields/Field";
import { ReferenceField, type Suggestion } from "../fields/ReferenceField";
import { Card } from "../frame/Card";
import { crsUnits } from "../generated/kinds";
import { Transformations } from "./Transformations";
import type { CrsLook as Look, SavedCrs as KeptReference } from "../generated/answers";
import { readIn } from "../numbers/read";
import { written } from "../numbers/written";
import { t } from "../texts/t";

interface Tune {
  values: Record<string, number>;
  unit?: string;
  name?: string;
}

const MARKS: Record<string, string> = { degree: "°", metre: "m", unity: "" };

const unitIn = (unit: string) => MARKS[unit] ?? unit;

/** The reference that the book is drawn in: another one is found, tuned, looked at, and then taken. */
export function ReferenceCard({ onBack }: { onBack: () => void }) {
  const book = useBook();
  const client = useQueryClient();
  const [definition, setDefinition] = useState(book.reference.definition);
  const [text, setText] = useState("");
  const [tune, setTune] = useState<Tune | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const suggestions = useQuery({
    queryKey: ["suggested", book.id, book.revision],
    queryFn: ({ signal }) => get<Suggestion[]>(`/api/books/${book.id}/references`, signal),
    staleTime: Infinity,
  });
  const kept = useQuery({
    queryKey: ["saved CRSs"],
    queryFn: ({ signal }) => get<KeptReference[]>("/api/references/kept", signal),
  });
  const look = useQuery<Look, Refusal>({
    queryKey: ["reference look", book.id, book.revision, definition, tune],
    queryFn: ({ signal }) =>
      post<Look>(`/api/books/${book.id}/reference/look`, { definition, ...(tune && { tune }) }, { signal }),
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  });
  const choose = (fresh: string) => {
    setDefinition(fresh);
    setTune(null);
    setProblem(null);
  };
  const found = look.data;
  const same = found?.definition === book.reference.definition;
  const take = () =>
    post<Book>(`/api/books/${book.id}/reference`, { definition: found!.definition }).then(
      (fresh) => {
        client.setQueryData(["book", book.id], fresh);
        onBack();
      },
      (error: Error) => setProblem(error.message),
    );
  const keepIt = () =>
    post("/api/references/kept", { name: found!.name, definition: found!.definition }).then(
      () => client.invalidateQueries({ queryKey: ["saved CRSs"] }),
      (error: Error) => setProblem(error.message),
    );
  const drop = (id: number) =>
    post(`/api/references/kept/${id}`, {}, { method: "DELETE" }).then(() =>
      client.invalidateQueries({ queryKey: ["saved CRSs"] }),
    );
  return (
    <Card help="crs" title={t("CRS")} note={t("the book’s coordinate reference system")}>
      <Button startIcon={<BackIcon />} onClick={onBack} sx={{ mb: 0.5 }}>
        {t("All layers")}
      </Button>
      <ReferenceField
        value={text}
        suggestions={suggestions.data ?? []}
        label={t("Another CRS")}
        help={t("name, code or place; also WKT 2 or a PROJ string")}
        onChange={setText}
        onPick={(code) => {
          setText(code);
          choose(code);
        }}
      />
      {text.trim() !== "" && text.trim() !== definition && (
        <Button onClick={() => choose(text.trim())}>{t("Preview")}</Button>
      )}
      {(kept.data?.length ?? 0) > 0 && (
        <Box component="ul" aria-label={t("Saved CRSs")} sx={{ m: 0, mt: 1, p: 0, listStyle: "none" }}>
          {kept.data!.map((row) => (
            <Box
              component="li"
              key={row.id}
              sx={{ display: "flex", alignItems: "center", borderBottom: 1, borderColor: "divider" }}
            >
              <Button sx={{ flex: 1, justifyContent: "flex-start" }} onClick={() => choose(row.definition)}>
                {row.name}
              </Button>
              <IconButton
                size="small"
                aria-label={t("Delete %{name}", { name: row.name })}
                onClick={() => void drop(row.id)}
              >
                <CloseIcon sx={{ fontSize: 15 }} />
              </IconButton>
            </Box>
          ))}
        </Box>
      )}
      {look.error && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mt: 1 }}>
          {look.error.message}
        </Typography>
      )}
      {found && (
        <Box sx={{ opacity: look.isFetching ? 0.6 : 1 }}>
          <Typography component="h3" sx={{ fontSize: 15, fontWeight: 700, mt: 1.5 }}>
            {found.name}
          </Typography>
          <Box sx={{ fontSize: 12.5, color: "text.secondary" }}>
            {[found.code, found.datum, t("unit: %{unit_name}", { unit_name: found.unit_name })]
              .filter(Boolean)
              .join(" · ")}
          </Box>
          {found.picture && (
            <Box
              component="img"
              alt={t("The ground in %{name}, with its graticule", { name: found.name })}
              src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(found.picture)}`}
              sx={{ width: "100%", bgcolor: "#fffdf6", border: 1, borderColor: "divider", mt: 1 }}
            />
          )}
          <Box role="status" sx={{ fontSize: 13, mt: 0.5 }}>
            {found.words.map((sentence) => (
              <Box key={sentence}>{sentence}</Box>
            ))}
            {found.warnings.map((warning) => (
              <Box key={warning} sx={{ color: "warning.main", fontWeight: 600, mt: 0.5 }}>
                <WarningIcon sx={{ fontSize: 15, verticalAlign: "-2px", mr: 0.5 }} />
                {warning}
              </Box>
            ))}
          </Box>
          <Tuner
            look={found}
            onTune={(patch) =>
              setTune({
                values: { ...tune?.values, ...patch.values },
                unit: patch.unit ?? tune?.unit,
                name: patch.name ?? tune?.name,
              })
            }
          />
          {problem && (
            <Typography role="alert" sx={{ color: "error.main", fontSize: 13, mt: 1 }}>
              {problem}
            </Typography>
          )}
          <Box sx={{ display: "flex", gap: 1, mt: 1.5 }}>
            <Button variant="contained" disabled={same || look.isFetching || !!look.error} onClick={() => void take()}>
              {same ? t("Current CRS") : t("Use this CRS")}
            </Button>
            {!found.code && (
              <Button variant="outlined" disabled={look.isFetching} onClick={() => void keepIt()}>
                {t("Save for other books")}
              </Button>
            )}
          </Box>
          <Typography sx={{ fontSize: 12.5, color: "text.secondary", mt: 1 }}>
            {t("Sheets keep their names and their place on the ground. It can be undone.")}
          </Typography>
        </Box>
      )}
      <Transformations />
    </Card>
  );
}

// The parameters of the projection; each change is looked at before anything is kept.
function Tuner({ look, onTune }: { look: Look; onTune: (patch: Partial<Tune>) => void }) {
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button onClick={() => setOpen(true)} sx={{ mt: 0.5 }}>
        {t("Edit parameters")}
      </Button>
    );
  return (
    <Box
      role="group"
      aria-label={t("Parameters of the CRS")}
      sx={{
        display: "grid",
        gridTemplateColumns: "minmax(0, 1fr)",
        gap: 1,
        mt: 1,
        p: 1,
        border: 1,
        borderColor: "divider",
      }}
    >
      {look.parameters.map((parameter) => (
        <Field
          key={parameter.name}
          label={[parameter.name, unitIn(parameter.unit)].filter(Boolean).join(", ")}
          value={written(parameter.value)}
          onSave={async (text) => {
            const value = readIn(text, unitIn(parameter.unit));
            if (value === null) throw new Error(t("Enter a number."));
            onTune({ values: { [parameter.name]: value } });
          }}
        />
      ))}
      <Choice
        label={t("Units")}
        value={look.unit ?? ""}
        choices={[
          ...crsUnits,
          ...(crsUnits.some(([unit]) => unit === look.unit) ? [] : [[look.unit ?? "", look.unit_name] as const]),
        ]}
        onChoose={async (unit) => onTune({ unit })}
      />
      <Field label={t("Name")} value={look.name} onSave={async (name) => onTune({ name })} />
      <TextField
        label={t("Its definition, WKT 2 or PROJ")}
        value={look.definition}
        multiline
        maxRows={4}
        slotProps={{ input: { readOnly: true, sx: { fontSize: 11.5 } } }}
      />
    </Box>
  );
}
