import { expect, test } from "vitest";
import { escaped, plain } from "./tags";

test("plain text is written among tags, and tags are taken away again", () => {
  expect(escaped("a < b & c")).toBe("a &lt; b &amp; c");
  expect(plain('<b>a</b> &lt; <span style="color: #a00">b</span> &amp; c')).toBe("a < b & c");
});
