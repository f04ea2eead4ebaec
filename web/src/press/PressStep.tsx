import { Box, Button } from "@mui/material";
import { useState } from "react";
import { useBook } from "../api/book";
import type { Order } from "../api/types";
import { toldElsewhere } from "../api/toldElsewhere";
import { Notice } from "../frame/Notice";
import { FormCard } from "./FormCard";
import { OrderStatement } from "./OrderStatement";
import { PaletteCard } from "./PaletteCard";
import { RunList } from "./RunList";
import { SavedOrders } from "./SavedOrders";
import { isProtected, traits, whole } from "./order";
import { PasswordAsked } from "./PasswordAsked";
import { useOrder } from "./useOrder";
import { useRuns, type Passwords } from "./useRuns";
import { t } from "../texts/t";

/** The book is handed on: which sheets, in which form, and the runs so far. */
export function PressStep() {
  const book = useBook();
  const draft = useOrder();
  const runs = useRuns();
  const [card, setCard] = useState<"form" | "palette">("form");
  const [asking, setAsking] = useState<{ give: (passwords: Passwords) => void } | null>(null);
  const place = async (orders: Order[], passwords?: Passwords) => {
    for (const order of orders) await runs.place(order, passwords).catch(toldElsewhere);
  };
  const withPasswords = (orders: Order[], give: (passwords?: Passwords) => void) =>
    orders.some(isProtected) ? setAsking({ give }) : give();
  const ask = (orders: Order[]) => withPasswords(orders, (passwords) => void place(orders, passwords));
  const refusal = runs.act.error;
  const { form } = whole(draft.order);
  return (
    <>
      <OrderStatement draft={draft} card={card} onCard={setCard}>
        <Button
          variant="contained"
          color="secondary"
          sx={{ ml: 1.5, px: 3 }}
          disabled={runs.act.isPending || book.cells.length === 0}
          onClick={() => ask([draft.order])}
        >
          {t("Export")}
        </Button>
      </OrderStatement>
      {refusal && (
        <Notice text={refusal.message} onClose={runs.act.reset}>
          {refusal.choices?.map(({ text, says }) => (
            <Button
              key={text}
              variant="outlined"
              onClick={() => {
                runs.act.reset();
                void draft.change({ sheets: text });
                ask([{ ...draft.order, sheets: text }]);
              }}
            >
              {says.replace(/^./, (letter) => letter.toUpperCase())}
            </Button>
          ))}
        </Notice>
      )}
      {asking && (
        <PasswordAsked
          onGive={(passwords) => {
            setAsking(null);
            asking.give(passwords);
          }}
          onClose={() => setAsking(null)}
        />
      )}
      <Box sx={{ flex: 1, minHeight: 0, display: "flex" }}>
        <Box
          sx={{
            flex: 1,
            minWidth: 0,
            overflow: "auto",
            bgcolor: "table.main",
            p: 2.5,
            display: "grid",
            gap: 2,
            alignContent: "start",
          }}
        >
          <SavedOrders draft={draft} busy={runs.act.isPending} onExport={ask} />
          <RunList
            runs={runs}
            onUse={(order) => draft.put(order)}
            onMissing={(run) =>
              withPasswords([run.order], (passwords = {}) =>
                runs.act.mutate({ path: `/${run.id}/missing`, body: passwords }),
              )
            }
            onRepeat={(run) => ask([{ ...run.order, name: run.title ?? undefined }])}
          />
        </Box>
        {card === "palette" && traits(form.kind).pdf ? <PaletteCard draft={draft} /> : <FormCard draft={draft} />}
      </Box>
    </>
  );
}
