import type { Form, Order } from "../api/types";
import { filled } from "../fields/filled";
import { defaults } from "../generated/defaults";
import { formTraits } from "../generated/kinds";

export type FormOf<Kind extends Form["kind"]> = Extract<Form, { kind: Kind }>;
export type FormKind = Form["kind"];

// An order with what it does not say filled in.
export const whole = (order: Order) =>
  filled(order, defaults.order) as Required<Pick<Order, "sheets" | "ppi">> & { form: Form } & Order;

export const traits = (kind: FormKind) => formTraits[kind];

// Live text of the names of its files.
export const pattern = (order: Order) => order.file_name || traits(whole(order).form.kind).fileName;

// Is a password asked for when it is exported?
export const isProtected = (order: Order) => {
  const { form } = whole(order);
  return "pdf" in form && form.pdf?.protected === true;
};
