import { Box, Button, LinearProgress } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { useBook } from "../api/book";
import { drawnOtherwise, useDifferences, type Differences, type Exported, type Version } from "../api/history";
import { count, listed } from "../api/words";
import { Choice } from "../fields/Choice";
import { useSheet } from "../frame/useSheet";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface DifferingProps {
  at: number;
  versions: Version[];
  runs: Exported[];
}

/** What differs between the book as it was and another state: in words, and by sheet. */
export function Differing({ at, versions, runs }: DifferingProps) {
  const [other, setOther] = useState<string>("");
  const beside = other === "" ? null : Number(other);
  const found = useDifferences(at, beside);
  const states = [
    ...versions.map((version) => [`${version.position}`, version.name] as const),
    ...runs.map(
      (run) =>
        [
          `${run.position}`,
          t("Run %{run}%{value}", { run: run.id, value: run.title ? `, ${run.title}` : "" }),
        ] as const,
    ),
    ...(at > 0 ? [["0", t("The book as it began")] as const] : []),
  ].filter(([position], place, all) => Number(position) !== at && all.findIndex(([one]) => one === position) === place);
  return (
    <Box sx={{ display: "grid", gap: 1, fontSize: 13 }}>
      <Choice<string>
        label={t("Compared with")}
        value={other}
        choices={[["", t("The book today")], ...states]}
        onChoose={async (chosen) => setOther(chosen)}
      />
      {found.isError && <Box role="alert">{found.error.message}</Box>}
      {found.isPending && "…"}
      {found.data && (
        <>
          <InWords found={found.data} />
          <BySheet key={`${at} ${other}`} at={at} other={beside} pages={found.data.pages} />
        </>
      )}
    </Box>
  );
}

// So many names of sheets are listed.
const MOST = 8;

function InWords({ found }: { found: Differences }) {
  const { cells, differences, more } = found;
  const said = [
    cells.added.length > 0 &&
      t("%{value} added: %{value2}", { value: count(cells.added.length, "sheet"), value2: listed(cells.added, MOST) }),
    cells.removed.length > 0 &&
      t("%{value} removed: %{value2}", {
        value: count(cells.removed.length, "sheet"),
        value2: listed(cells.removed, MOST),
      }),
    cells.changed.length > 0 &&
      t("%{value} moved or resized: %{value2}", {
        value: count(cells.changed.length, "cell"),
        value2: listed(cells.changed, MOST),
      }),
    cells.renamed.length > 0 &&
      t("%{value} renamed: %{value2}", {
        value: count(cells.renamed.length, "sheet"),
        value2: listed(cells.renamed, MOST),
      }),
    cells.reordered && t("the order of the sheets"),
  ].filter((line) => line !== false);
  if (said.length === 0 && differences.length === 0) return <Box>{t("Nothing differs.")}</Box>;
  return (
    <Box component="ul" aria-label={t("Differences in words")} sx={{ m: 0, pl: 2, display: "grid", gap: 0.5 }}>
      {said.map((line) => (
        <li key={line}>{line}</li>
      ))}
      {differences.map((one, place) => (
        <Box component="li" key={place} sx={{ overflowWrap: "anywhere" }}>
          <b>{one.part}</b>
          {one.what === "changed"
            ? `: ${one.before} → ${one.after}`
            : one.what === "moved"
              ? t(" moved")
              : ` ${one.what}`}
        </Box>
      ))}
      {more > 0 && <li>{rich(t("and <1/> more"), { 1: count(more, "difference") })}</li>}
    </Box>
  );
}

// Every page is drawn in both states and compared, one after the other.
function BySheet({ at, other, pages }: { at: number; other: number | null; pages: Differences["pages"] }) {
  const book = useBook();
  const { go } = useSheet();
  const [done, setDone] = useState<number | null>(null);
  const [differing, setDiffering] = useState<Differences["pages"]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const work = useRef<AbortController | null>(null);
  useEffect(() => () => work.current?.abort(), []);
  const compare = async () => {
    const own = new AbortController();
    work.current = own;
    setDiffering([]);
    setWrong(null);
    try {
      for (const [place, page] of pages.entries()) {
        setDone(place);
        const { before, after } = page;
        const differs =
          before === null ||
          after === null ||
          (await drawnOtherwise(book.id, [at, other], [before, after], own.signal));
        if (own.signal.aborted) return;
        if (differs) setDiffering((known) => [...known, page]);
      }
      setDone(pages.length);
    } catch (error) {
      if (!own.signal.aborted) setWrong((error as Error).message);
    }
  };
  const running = done !== null && done < pages.length && wrong === null;
  return (
    <Box sx={{ display: "grid", gap: 0.75 }}>
      {running ? (
        <>
          <LinearProgress variant="determinate" value={(100 * done) / pages.length} aria-label={t("Pages compared")} />
          <Box>
            {rich(t("<1/> of <2/> compared <3/>"), {
              1: done,
              2: count(pages.length, "page"),
              3: (
                <Button
                  size="small"
                  onClick={() => {
                    work.current?.abort();
                    setDone(null);
                  }}
                >
                  {t("Stop")}
                </Button>
              ),
            })}
          </Box>
        </>
      ) : (
        <Button variant="outlined" sx={{ justifySelf: "start" }} onClick={() => void compare()}>
          {t("Compare the drawings")}
        </Button>
      )}
      {wrong && <Box role="alert">{wrong}</Box>}
      {done === pages.length && (
        <Box role="status">
          {differing.length === 0
            ? t("All %{value} are drawn alike.", { value: count(pages.length, "page") })
            : t("%{length} of %{value} are drawn otherwise:", {
                length: differing.length,
                value: count(pages.length, "page"),
              })}
        </Box>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.25 }}>
        {differing.map((page) => (
          <Button
            key={`${page.before} ${page.after}`}
            size="small"
            disabled={page.before === null}
            onClick={() => page.before !== null && go(page.before)}
          >
            {page.name}
            {page.before === null ? t(" (new)") : page.after === null ? t(" (gone)") : ""}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
