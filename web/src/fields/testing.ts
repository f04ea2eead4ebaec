// What a person does with the fields of a card, for tests.
import { cleanup, configure, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { afterEach, vi } from "vitest";

// Whether something can be seen takes most of the time of a search by role; a list that is open hides all else.
configure({ defaultHidden: true });
afterEach(cleanup);

/** A function that stands for saving, and remembers what it was given. */
export const saving = <T>() => vi.fn<(given: T) => Promise<void>>(() => Promise.resolve());

/** Types into a field in place of what it holds, and Enter. */
export async function typed(label: string, text: string) {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, `${text}{Enter}`);
}

/** Takes one of a list by its title. */
export async function picked(label: string, title: string) {
  await userEvent.click(screen.getByLabelText(label));
  await userEvent.click(within(screen.getByRole("listbox")).getByRole("option", { name: title }));
}

/** Titles that a list offers. */
export async function offered(label: string) {
  await userEvent.click(screen.getByLabelText(label));
  const titles = screen.getAllByRole("option").map((option) => option.textContent);
  await userEvent.keyboard("{Escape}");
  return titles;
}
