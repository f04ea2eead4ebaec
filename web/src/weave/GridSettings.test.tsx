// @vitest-environment jsdom
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test, vi } from "vitest";
import type { Index } from "../api/types";
import { picked, typed } from "../fields/testing";
import { GridSettings, type Trying } from "./SettingsCard";

const index = { kind: "grid", scale: 2500 } as Index;

function shown(more: Partial<Index> = {}) {
  const onTry = vi.fn<Trying["onTry"]>();
  render(<GridSettings index={{ ...index, ...more } as Index} onTry={onTry} />);
  return onTry;
}

test("what lies as it is by itself is left out of the index", async () => {
  const onTry = shown({ fewest: "moved" });
  await picked("Fewest sheets", "the grid as set below");
  expect(onTry.mock.lastCall).toEqual([{ fewest: null }]);
  await picked("Cells included", "that contain a share of it");
  expect(onTry.mock.lastCall).toEqual([{ keep: 0.1 }]);
  expect(screen.queryByLabelText("Grid origin")).toBeNull();
});

test("a grid begins on round coordinates or at a point", async () => {
  const onTry = shown({ origin: { kind: "round", multiple: "250 m" } });
  await picked("Grid origin", "a corner at a point");
  expect(onTry.mock.lastCall).toEqual([{ origin: { kind: "point", multiple: null, x: 0, y: 0 } }]);
  await typed("Corners on multiples of", "500");
  expect(onTry.mock.lastCall).toEqual([{ origin: { multiple: "500 m" } }]);
  await picked("Grid origin", "centred on the area");
  expect(onTry.mock.lastCall).toEqual([{ origin: null }]);
});

test("a rotation is up to half a turn, and 0 is none", async () => {
  const onTry = shown({ rotation_deg: 12 });
  await typed("Rotation, ° clockwise", "181");
  expect(screen.getByRole("alert").textContent).toContain("180");
  expect(onTry).not.toHaveBeenCalled();
  await typed("Rotation, ° clockwise", "0");
  expect(onTry.mock.lastCall).toEqual([{ rotation_deg: null }]);
  await userEvent.click(screen.getByRole("button", { name: "Align to area" }));
  expect(onTry.mock.lastCall).toEqual([{ rotation_deg: "align" }]);
});

test("columns and rows may have a spacing of their own, or go by the overlap", async () => {
  const onTry = shown({ spacing: { x: "500 m" } } as Partial<Index>);
  await typed("Row spacing", "2 km");
  expect(onTry.mock.lastCall).toEqual([{ spacing: { y: "2 km" } }]);
  await userEvent.clear(screen.getByLabelText("Column spacing"));
  await userEvent.tab();
  expect(onTry.mock.lastCall).toEqual([{ spacing: { x: null } }]);
});
