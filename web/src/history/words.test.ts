import { expect, test } from "vitest";
import { since, when, who } from "./words";

const now = new Date(2026, 10, 30, 15, 0);
const at = (year: number, month: number, day: number, hour: number, minute: number) =>
  when(new Date(year, month, day, hour, minute).toISOString(), now);

test("a step was today, this year or long ago", () => {
  expect(at(2026, 10, 30, 14, 31)).toBe("14:31");
  expect(at(2026, 10, 29, 9, 5)).toBe("29 Nov, 09:05");
  expect(at(2025, 0, 3, 14, 31)).toBe("3 Jan 2025, 14:31");
});

test("it is said whose it was, and what became of it", () => {
  expect([null, true, false].map((own) => who({ own } as Parameters<typeof who>[0]))).toEqual([
    "the server",
    "you",
    "another browser",
  ]);
  expect(since({ state: "given_up" } as Parameters<typeof since>[0])).toBe("undone since");
  expect(since({ state: "step" } as Parameters<typeof since>[0])).toBeNull();
});
