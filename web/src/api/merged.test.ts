import { expect, test } from "vitest";
import { merged } from "./merged";

// RFC 7396: null takes a member away, lists are put in whole.
test("a merge patch leaves the document that it is put into as it was", () => {
  const document = { a: { b: 1, c: 2 }, l: [1] };
  expect(merged(document, { a: { b: null, x: undefined }, l: [2] })).toEqual({ a: { c: 2 }, l: [2] });
  expect(document).toEqual({ a: { b: 1, c: 2 }, l: [1] });
});
