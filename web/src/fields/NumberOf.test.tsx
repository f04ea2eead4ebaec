// @vitest-environment jsdom
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { saving, typed } from "./testing";
import { NumberOf } from "./NumberOf";

test("a number within the schema's limits goes on as what is another", async () => {
  const onSave = saving<object>();
  render(
    <NumberOf part="table_element" of="padding_mm" label="Padding, mm" given={{ padding_mm: 1 }} onSave={onSave} />,
  );
  await typed("Padding, mm", "2.5");
  expect(onSave.mock.calls).toEqual([[{ padding_mm: 2.5 }]]);
});

test("one beyond them is refused with them and the unit, and nothing goes on", async () => {
  const onSave = saving<object>();
  render(
    <NumberOf part="table_element" of="padding_mm" label="Padding, mm" given={{ padding_mm: 1 }} onSave={onSave} />,
  );
  await typed("Padding, mm", "51");
  expect(screen.getByRole("alert").textContent).toBe("Enter a value from 0 to 50 mm.");
  await typed("Padding, mm", "much");
  expect(screen.getByRole("alert").textContent).toBe("Enter a value from 0 to 50 mm.");
  expect(onSave).not.toHaveBeenCalled();
});

test("a part of a number is refused where whole ones are counted", async () => {
  const onSave = saving<object>();
  render(<NumberOf part="index_pages" of="across" label="Parts across" given={{ across: 1 }} onSave={onSave} />);
  await typed("Parts across", "2.5");
  expect(screen.getByRole("alert").textContent).toBe("Enter a whole number from 1 to 12.");
});

test("a number that may be left out is left out by an empty field", async () => {
  const onSave = saving<object>();
  render(
    <NumberOf
      part="legend_element"
      of="minimum_pt"
      label="Minimum size, pt"
      placeholder="does not shrink"
      given={{ minimum_pt: 6 }}
      onSave={onSave}
    />,
  );
  await userEvent.clear(screen.getByLabelText("Minimum size, pt"));
  await userEvent.tab();
  expect(onSave.mock.calls).toEqual([[{ minimum_pt: undefined }]]);
});

test("Escape leaves what was there", async () => {
  const onSave = saving<object>();
  render(
    <NumberOf part="table_element" of="padding_mm" label="Padding, mm" given={{ padding_mm: 1 }} onSave={onSave} />,
  );
  const field = screen.getByLabelText<HTMLInputElement>("Padding, mm");
  await userEvent.clear(field);
  await userEvent.type(field, "9{Escape}");
  expect([field.value, onSave.mock.calls]).toEqual(["1", []]);
});
