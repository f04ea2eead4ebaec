import { Box, Button, LinearProgress } from "@mui/material";
import { useRef, useState } from "react";
import { useBook } from "../../api/book";
import { get } from "../../api/client";
import { count } from "../../api/words";
import { toldElsewhere } from "../../api/toldElsewhere";
import { pageAt, pageCount } from "../../frame/bookPages";
import { useSheet } from "../../frame/useSheet";
import { labelsPath, type UnplacedLabel, type SheetLabels } from "./useLabels";
import { t } from "../../texts/t";
import { rich } from "../../texts/rich";

interface Found {
  number: number;
  name: string;
  unplaced: UnplacedLabel[];
}

/** The labels without room of the whole book, page by page; it can be stopped on the way. */
export function BookLabels() {
  const book = useBook();
  const { go } = useSheet();
  const [found, setFound] = useState<{ revision: number; pages: number; list: Found[]; done: boolean } | null>(null);
  const stopped = useRef(false);
  const pages = pageCount(book);
  const look = async () => {
    stopped.current = false;
    const list: Found[] = [];
    for (let place = 0; place < pages && !stopped.current; place += 1) {
      const page = pageAt(book, place);
      if (page) {
        const { unplaced } = await get<Pick<SheetLabels, "unplaced">>(`${labelsPath(book.id, page.number)}/unplaced`);
        if (unplaced.length) list.push({ number: page.number, name: page.name, unplaced });
      }
      setFound({ revision: book.revision, pages: place + 1, list: [...list], done: place + 1 === pages });
    }
  };
  const running = found !== null && !found.done && !stopped.current;
  const total = found?.list.reduce((sum, page) => sum + page.unplaced.length, 0) ?? 0;
  return (
    <Box component="section" aria-label={t("Labels of the whole book")} sx={{ mt: 1, fontSize: 13 }}>
      {running ? (
        <>
          <LinearProgress
            variant="determinate"
            value={(found.pages / pages) * 100}
            aria-label={t("%{pages} of %{pages2} pages checked", { pages: found.pages, pages2: pages })}
          />
          <Button
            onClick={() => {
              stopped.current = true;
              setFound((known) => known && { ...known });
            }}
          >
            {t("Stop")}
          </Button>
        </>
      ) : (
        <Button onClick={() => void look().catch(toldElsewhere)}>
          {t("Check the whole book for unplaced labels")}
        </Button>
      )}
      {found && (
        <>
          <div role="status">
            {rich(t("<1/> on <2/><3/><4/>."), {
              1: total === 0 ? t("All labels are placed") : count(total, "unplaced label"),
              2: count(found.pages, "page"),
              3:
                found.pages < pages && !running ? t("; %{value} were not checked", { value: pages - found.pages }) : "",
              4: found.revision !== book.revision ? t(", before the last change") : "",
            })}
          </div>
          {found.list.map((page) => (
            <Box key={page.number}>
              <Button sx={{ px: 0, py: 0, minHeight: 24 }} onClick={() => go(page.number)}>
                {page.name}
              </Button>{" "}
              {page.unplaced.map((label) => label.text).join(", ")}
            </Box>
          ))}
        </>
      )}
    </Box>
  );
}
