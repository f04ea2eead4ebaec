import type { Form, Order } from "../api/types";
import { useBook } from "../api/book";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { forms, formTraits } from "../generated/kinds";
import { t } from "../texts/t";

export type FormOf<Kind extends Form["kind"]> = Extract<Form, { kind: Kind }>;
export type FormKind = Form["kind"];

/** An order with what it does not say filled in, but for its resolution. */
export const whole = (order: Order) =>
  filled(order, defaults.order) as Required<Pick<Order, "sheets">> & { form: Form } & Order;

/** Pixels an inch: its own, or the book's. */
export function usePpi(order: Order): number {
  const book = useBook();
  return order.ppi ?? book.document.resolution_ppi ?? RESOLUTION_PPI;
}

const RESOLUTION_PPI = 300;

/** What is known of a form beside its settings. */
export const traits = (kind: FormKind) => formTraits[kind];

/** "all sheets as one PDF" */
export function inBrief(order: Order): string {
  const { sheets, form } = whole(order);
  const title = forms.find(([key]) => key === form.kind)![1];
  return t("%{value} as %{title}", {
    value: sheets === "all" ? t("all sheets") : t("sheets %{sheets}", { sheets }),
    title,
  });
}

/** Live text of the names of its files. */
export const pattern = (order: Order) => order.file_name || traits(whole(order).form.kind).fileName;

/** Is a password asked for when it is exported? */
export const isProtected = (order: Order) => {
  const { form } = whole(order);
  return "pdf" in form && form.pdf?.protected === true;
};
