import { expect, test } from "vitest";
import type { Attribute } from "../api/useAttributes";
import { fromCql, toCql, type Tests } from "./conditions";

// What the controls write is read by the core in spec/app/web_logic_spec.rb.
const attributes = [
  { name: "parish", type: "text" },
  { name: "depth", type: "real" },
  { name: "open", type: "boolean" },
  { name: "isSheetFeature", type: "boolean", asked: true },
  { name: "withinSheetFeature", type: "distance", asked: true },
  { name: "sheet.scale", type: "real" },
] as Attribute[];

test("conditions on the sheet go into CQL2 and come back as they were", () => {
  const tests: Tests = {
    all: true,
    list: [
      { attribute: "isSheetFeature", is: "no", value: "" },
      { attribute: "withinSheetFeature", is: "within", value: 200 },
      { attribute: "parish", is: "same", value: "parish" },
      { attribute: "sheet.scale", is: "<", value: 10_000 },
    ],
  };
  const written = toCql(tests, attributes);
  expect(written).toMatchObject({
    args: [
      { op: "not", args: [{ op: "isSheetFeature", args: [] }] },
      { op: "withinSheetFeature", args: [200] },
      { op: "=", args: [{ property: "parish" }, { property: "sheet.feature.parish" }] },
      { op: "<", args: [{ property: "sheet.scale" }, 10_000] },
    ],
  });
  expect(fromCql(written, attributes)).toEqual(tests);
});

test("several are joined by or, and come back so", () => {
  const tests: Tests = {
    all: false,
    list: [
      { attribute: "depth", is: ">", value: 5 },
      { attribute: "open", is: "yes", value: "" },
    ],
  };
  const written = toCql(tests, attributes);
  expect(written).toMatchObject({ op: "or" });
  expect(fromCql(written, attributes)).toEqual(tests);
});

test("what the controls cannot show is left alone", () => {
  expect(fromCql({ op: ">", args: [{ op: "+", args: [{ property: "depth" }, 1] }, 3] }, [])).toBeNull();
});
