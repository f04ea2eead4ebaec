/** The steps of a book, in their order. */
export const STEPS = [
  { id: "ground", title: "Ground" },
  { id: "sheet", title: "Sheet" },
  { id: "weave", title: "Weave" },
  { id: "proof", title: "Proof" },
  { id: "press", title: "Press" },
] as const;

export type StepId = (typeof STEPS)[number]["id"];
