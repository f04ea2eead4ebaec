import { useState } from "react";

/**
 * Which rule of a list is open to be edited, by its place (-1: none; a lone one is at first), and how one is moved in
 * the order, which closes it. keep: takes the list in its new order.
 */
export function useOpenRule<Rule>(rules: Rule[], keep: (rules: Rule[]) => Promise<unknown>) {
  const [open, setOpen] = useState(rules.length === 1 ? 0 : -1);
  const move = (index: number, by: number) => {
    setOpen(-1);
    void keep(movedBy(rules, index, by));
  };
  return { open, setOpen, move };
}

// A list with one of its entries so many places further on.
function movedBy<Entry>(list: Entry[], index: number, by: number): Entry[] {
  const fresh = [...list];
  const [entry] = fresh.splice(index, 1);
  fresh.splice(index + by, 0, entry!);
  return fresh;
}
