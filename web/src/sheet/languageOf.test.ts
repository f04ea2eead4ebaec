import { describe, expect, it } from "vitest";
import { languageOf } from "./languageOf";

// RFC 4647, 3.4: a tag is looked up by its parts from the left; the same tags as in the core's languages_spec.
describe("The language of a tag", () => {
  it("is one that pages can be written in, or none", () => {
    expect(["de-AT", "DE", "pt-PT", "pt-BR", "no", "sk", "x-own"].map(languageOf)).toEqual([
      "de",
      "de",
      "pt-PT",
      "pt",
      "nb",
      undefined,
      undefined,
    ]);
  });
});
