// @vitest-environment jsdom
import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import { offered, picked, saving } from "../fields/testing";
import { ImageFields } from "./ImageFields";
import type { FormOf } from "./order";

type Images = FormOf<"images">;

const shown = (form: Images) => {
  const change = saving<Partial<Images>>();
  render(<ImageFields form={form} change={change} />);
  return change;
};

// PNG alone has a table of colours; JPEG has nothing that is clear (facts of the formats).
test("a table of colours is offered for PNG alone, and goes with another format", async () => {
  const change = shown({ kind: "images", format: "png", depth: "256 colours" });
  expect(await offered("Colour depth")).toEqual(["24-bit colour", "8-bit grey", "256 colours"]);
  await picked("Format", "TIFF");
  expect(change.mock.lastCall).toEqual([{ format: "tiff", depth: undefined }]);
});

test("a clear background goes with JPEG", async () => {
  const change = shown({ kind: "images", format: "png", clear: true });
  await picked("Format", "JPEG");
  expect(change.mock.lastCall).toEqual([{ format: "jpeg", clear: undefined }]);
});

test("quality is asked for where a format has one", () => {
  shown({ kind: "images", format: "jpeg" });
  expect(screen.queryByLabelText(/^Quality/)).not.toBeNull();
});
