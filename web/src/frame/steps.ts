import { t } from "../texts/t";

/** The steps of a book, in their order. */
export const STEPS = [
  { id: "ground", title: t("Ground"), note: t("data, CRS, symbols and labels") },
  { id: "sheet", title: t("Sheet"), note: t("the page of every cell") },
  { id: "weave", title: t("Weave"), note: t("the index of sheets") },
  { id: "proof", title: t("Proof"), note: t("each sheet as it will print") },
  { id: "press", title: t("Press"), note: t("PDF, images and other files") },
] as const;

export type StepId = (typeof STEPS)[number]["id"];
