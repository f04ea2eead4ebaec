import { Box, Button } from "@mui/material";
import { useState } from "react";
import { Link, useLocation } from "react-router";
import { useBook, useChange } from "../api/book";
import { useVersions, type HistoryStep, type Exported, type Version } from "../api/history";
import type { Book } from "../api/types";
import { Field } from "../fields/Field";
import { Fold } from "../frame/Fold";
import { useLookBack } from "../frame/useLookBack";
import { Differing } from "./Differing";
import { TakePart } from "./TakePart";
import { stateOf, when } from "./words";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface StateDetailsProps {
  at: number;
  then: Book | undefined;
  // Where it is among those that are listed.
  step: HistoryStep | undefined;
  versions: Version[];
  runs: Exported[];
}

/** The book as it was behind a step, and what can be done with it. */
export function StateDetails({ at, then, step, versions, runs }: StateDetailsProps) {
  const book = useBook();
  const { ask } = useChange();
  const { setAt } = useLookBack();
  const { pathname, search } = useLocation();
  const { name } = useVersions();
  const [wrong, setWrong] = useState<string | null>(null);
  const tried = async (work: () => Promise<unknown>) => {
    try {
      setWrong(null);
      await work();
    } catch (error) {
      setWrong((error as Error).message);
    }
  };
  const named = versions.find((version) => version.position === at)?.name;
  const called = named ? `“${named}”` : step ? stateOf(step.at) : at === 0 ? t("the beginning") : undefined;
  const onProof = pathname.endsWith("/proof");
  const today = at === book.position;
  return (
    <Box
      component="section"
      aria-label={t("The book as it was")}
      sx={{ mb: 2, pb: 1, borderBottom: 2, borderColor: "divider" }}
    >
      <Box sx={{ fontSize: 14, fontWeight: 700 }}>
        {at === 0
          ? t("As the book began")
          : t("As it was%{value}", { value: step ? t(" at %{value}", { value: when(step.at, new Date()) }) : "" })}
        {named && ` · ${named}`}
      </Box>
      {step && <Box sx={{ fontSize: 13, color: "text.secondary" }}>{rich(t("after “<1/>”"), { 1: step.label })}</Box>}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, my: 1 }}>
        {!onProof && (
          <Button variant="outlined" component={Link} to={`/books/${book.id}/proof${search}`}>
            {t("See it on Proof")}
          </Button>
        )}
        {today ? (
          <Box sx={{ fontSize: 13, alignSelf: "center" }}>{t("The book is like this today.")}</Box>
        ) : (
          <Button
            variant="contained"
            onClick={() =>
              void tried(async () => {
                await ask(`history/${at}/back`, called ? { name: called } : {});
                setAt(null);
              })
            }
          >
            {t("Go back to it")}
          </Button>
        )}
        {!onProof && <Button onClick={() => setAt(null)}>{t("Back to today")}</Button>}
      </Box>
      {wrong && (
        <Box role="alert" sx={{ fontSize: 13, color: "error.main", mb: 1 }}>
          {wrong}
        </Box>
      )}
      <Field
        key={versions.length}
        label={t("Name this version")}
        value=""
        placeholder={t("As sent to print")}
        onSave={async (text) => {
          if (text.trim()) await name(at, text.trim());
        }}
      />
      {!today && (
        <Fold title={t("Restore a part")}>
          {then ? <TakePart then={then} at={at} called={called} tried={tried} /> : "…"}
        </Fold>
      )}
      <Fold title={t("What differs")}>
        <Differing at={at} versions={versions} runs={runs} />
      </Fold>
    </Box>
  );
}
