import { Box, Button, Checkbox, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { useBook, useChange } from "../api/book";
import type { Order } from "../api/types";
import { count } from "../api/words";
import { inWords } from "./inWords";
import { inBrief, usePpi, whole } from "./order";
import type { OrderDraft } from "./useOrder";
import { t } from "../texts/t";
import { rich } from "../texts/rich";

interface SavedOrdersProps {
  draft: OrderDraft;
  busy: boolean;
  onExport: (orders: Order[]) => void;
}

/** The book's own orders by their names; several can be exported at once. */
export function SavedOrders({ draft, busy, onExport }: SavedOrdersProps) {
  const { change } = useChange();
  const orders = useBook().document.orders ?? [];
  const [name, setName] = useState("");
  const [chosen, setChosen] = useState<string[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const put = async (label: string, list: Order[]) => {
    try {
      await change(label, { orders: list });
      setProblem(null);
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const save = async () => {
    const title = name.trim();
    if (!title) return setProblem(t("Enter a name, such as “field A3”."));
    await put(`Save export settings ${title}`, [
      ...orders.filter((known) => known.name !== title),
      { ...draft.order, name: title },
    ]);
    setName("");
  };
  const wanted = orders.filter((order) => chosen.includes(order.name!));
  return (
    <Box
      component="section"
      aria-labelledby="orders-title"
      sx={{ bgcolor: "background.paper", border: 1, borderColor: "divider", px: 2, py: 1.5 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, flexWrap: "wrap" }}>
        <Typography component="h2" variant="h2" id="orders-title" sx={{ flex: 1 }}>
          {t("Saved exports")}
        </Typography>
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
          sx={{ display: "flex", gap: 1 }}
        >
          <TextField
            value={name}
            placeholder={t("field A3")}
            onChange={(event) => setName(event.target.value)}
            slotProps={{ htmlInput: { "aria-label": t("Name of the export settings"), maxLength: 60 } }}
          />
          <Button type="submit">{t("Save these settings")}</Button>
        </Box>
      </Box>
      {problem && (
        <Typography role="alert" sx={{ color: "error.main", fontSize: 13 }}>
          {problem}
        </Typography>
      )}
      {orders.length === 0 && (
        <Typography sx={{ color: "text.secondary", fontSize: 13.5 }}>
          {t("The settings above can be saved under a name, as part of the book.")}
        </Typography>
      )}
      {orders.map((order) => (
        <OrderRow
          key={order.name}
          order={order}
          chosen={chosen.includes(order.name!)}
          onChoose={(on) =>
            setChosen((known) => [...known.filter((other) => other !== order.name), ...(on ? [order.name!] : [])])
          }
          onUse={() => draft.put(order)}
          onExport={() => onExport([order])}
          onDelete={() =>
            void put(
              `Delete export settings ${order.name}`,
              orders.filter((known) => known !== order),
            )
          }
          busy={busy}
        />
      ))}
      {wanted.length > 1 && (
        <Button variant="outlined" disabled={busy} sx={{ mt: 1 }} onClick={() => onExport(wanted)}>
          {rich(t("Export <1/>"), { 1: count(wanted.length, "saved export") })}
        </Button>
      )}
    </Box>
  );
}

interface OrderRowProps {
  order: Order;
  chosen: boolean;
  busy: boolean;
  onChoose: (on: boolean) => void;
  onUse: () => void;
  onExport: () => void;
  onDelete: () => void;
}

function OrderRow({ order, chosen, busy, onChoose, onUse, onExport, onDelete }: OrderRowProps) {
  const { form } = whole(order);
  const ppi = usePpi(order);
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1,
        borderTop: 1,
        borderColor: "divider",
        py: 0.25,
        fontSize: 14,
      }}
    >
      <Checkbox
        size="small"
        checked={chosen}
        onChange={(event) => onChoose(event.target.checked)}
        slotProps={{ input: { "aria-label": t("Choose %{name}", { name: order.name }) } }}
      />
      <Box sx={{ fontWeight: 600, minWidth: 90 }}>{order.name}</Box>
      <Box sx={{ flex: 1, minWidth: 0, color: "text.secondary", fontSize: 13 }}>
        {rich(t("<1/>, <2/>, <3/> ppi"), { 1: inBrief(order), 2: inWords(form), 3: ppi })}
      </Box>
      <Button onClick={onUse} aria-label={t("Use %{name}", { name: order.name })}>
        {t("Use")}
      </Button>
      <Button onClick={onExport} disabled={busy} aria-label={t("Export %{name}", { name: order.name })}>
        {t("Export")}
      </Button>
      <Button color="error" onClick={onDelete} aria-label={t("Delete %{name}", { name: order.name })}>
        {t("Delete")}
      </Button>
    </Box>
  );
}
