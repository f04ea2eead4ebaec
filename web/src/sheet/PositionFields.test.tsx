// @vitest-environment jsdom
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Rectangle } from "../api/types";
import { picked, saving, typed } from "../fields/testing";
import { PositionFields } from "./PositionFields";

const box: Rectangle = [10, 20, 100, 60];

test("a place is that of the point that is meant, and may be a sum", async () => {
  const onSave = saving<Rectangle>();
  render(<PositionFields box={box} onSave={onSave} />);
  await userEvent.click(screen.getByRole("button", { name: "right middle" }));
  expect(screen.getByLabelText("From left, mm")).toHaveProperty("value", "110");
  expect(screen.getByLabelText("From top, mm")).toHaveProperty("value", "50");
  await typed("From left, mm", "420-15.5");
  expect(onSave.mock.lastCall).toEqual([[304.5, 20, 100, 60]]);
  await typed("From top, mm", "80");
  expect(onSave.mock.lastCall).toEqual([[10, 50, 100, 60]]);
});

// 2 in = 50.8 mm.
test("a size grows about the point, in the unit that is chosen", async () => {
  const onSave = saving<Rectangle>();
  render(<PositionFields box={box} onSave={onSave} />);
  await userEvent.click(screen.getByRole("button", { name: "centre" }));
  await picked("Unit", "in");
  await typed("Width, in", "2 in");
  const [left, top, width, height] = onSave.mock.lastCall![0];
  expect([left, top, width, height].map((mm) => Number(mm.toFixed(6)))).toEqual([34.6, 20, 50.8, 60]);
});

test("what is no length is refused beside the field, and a side below nothing", async () => {
  const onSave = saving<Rectangle>();
  render(<PositionFields box={box} onSave={onSave} />);
  await typed("Width, mm", "two");
  expect(screen.getByRole("alert").textContent).toContain("a length or a sum");
  await typed("Width, mm", "-2");
  expect(screen.getByRole("alert").textContent).toContain("cannot be negative");
  expect(onSave).not.toHaveBeenCalled();
});
