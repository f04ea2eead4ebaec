import { expect, test } from "vitest";
import { area, bytes, coordinate, groundSize, mm, paperSize, ratio } from "./words";

// By hand; the minus sign is U+2212 and digits are grouped by threes as in British English (CLDR 48, en-GB).
test("numbers have grouped digits and a minus sign", () => {
  expect([mm(-0.26), mm(1189), ratio(2500), ratio(2500.5), coordinate(-402265.07), bytes(12_345_678)]).toEqual([
    "−0.3 mm",
    "1,189 mm",
    "1:2,500",
    "1:2,500.5",
    "−402 265.1",
    "12.3 MB",
  ]);
});

test("lengths of one size have one number of decimals", () => {
  expect([groundSize(5614.12, 4620), groundSize(785.2, 652.7), groundSize(785, 652), groundSize(12_340, 900)]).toEqual([
    "5,614.1 × 4,620.0 m",
    "785.2 × 652.7 m",
    "785 × 652 m",
    "12.3 × 0.9 km",
  ]);
  expect([paperSize(314, 261), paperSize(313.96, 261.5)]).toEqual(["314 × 261 mm", "314.0 × 261.5 mm"]);
  expect([area(8_000), area(25_000), area(3_400_000)]).toEqual(["8,000 m²", "2.5 ha", "3.4 km²"]);
});
