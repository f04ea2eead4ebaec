/** The steps of a book, in their order. */
export const STEPS = [
  { id: "ground", title: "Ground", note: "data, CRS, symbols and labels" },
  { id: "sheet", title: "Sheet", note: "the page of every cell" },
  { id: "weave", title: "Weave", note: "the index of sheets" },
  { id: "proof", title: "Proof", note: "each sheet as it will print" },
  { id: "press", title: "Press", note: "PDF, images and other files" },
] as const;

export type StepId = (typeof STEPS)[number]["id"];
