import { expect, test } from "vitest";
import { areaInWords, areaOf, partsOf } from "./area";
import type { Book } from "./types";

test("it is said which area an index covers", () => {
  const book = {
    document: {
      layers: [
        { id: "moss", title: "Moss" },
        { id: "dams", title: "Dams" },
      ],
      index: {
        area: [
          { layer: "moss", when: { op: "isNull", args: [] } },
          { layer: "dams", features: [1, 2] },
          { polygon: [] },
          { polygon: [] },
        ],
      },
    },
  } as unknown as Book;
  expect(areaInWords(book)).toBe("part of Moss, 2 features of Dams and 2 drawn shapes");
});

test("one whole layer is written as its id", () => {
  expect(areaOf([{ layer: "moss" }])).toBe("moss");
  expect(areaOf([{ layer: "moss", features: [1] }])).toEqual([{ layer: "moss", features: [1] }]);
  expect(partsOf("moss")).toEqual([{ layer: "moss" }]);
});
