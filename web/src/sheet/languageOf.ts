import { languageStandIns, languages } from "../generated/kinds";
import { lookUp } from "../texts/lookUp";

const codes = languages.map(([code]) => code);
const standIns: Record<string, string> = languageStandIns;

/** Which of the languages that pages can be written in a tag of RFC 5646 stands for; undefined for none. */
export const languageOf = (tag: string): string | undefined =>
  lookUp(tag, codes) ?? standIns[lookUp(tag, Object.keys(standIns)) ?? ""];
