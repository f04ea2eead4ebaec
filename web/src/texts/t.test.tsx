// @vitest-environment jsdom
import { render } from "@testing-library/react";
import { expect, test } from "vitest";
import { languageFor } from "./speakAsWanted";
import { rich } from "./rich";
import { counted, speak, t } from "./t";

test("a text is itself in English, with its values", () => {
  expect(t("Add a cell")).toBe("Add a cell");
  expect(t("Sheet %{number} of %{count_}", { number: 3, count_: "27" })).toBe("Sheet 3 of 27");
  // What live text and conditions have in them is left alone, in texts and in values.
  expect(t("Live text, such as {{ sheet.name }}")).toBe("Live text, such as {{ sheet.name }}");
  expect(t("Title %{title}: a", { title: "%{x} & <b>" })).toBe("Title %{x} & <b>: a");
  expect([1, 27].map((number) => counted(number, `${number}`, "sheet", "sheets"))).toEqual(["1 sheet", "27 sheets"]);
});

test("parts of a text stand where it has them", () => {
  const { container } = render(<>{rich("at <2/>, named <1/>.", { 1: <b>A1</b>, 2: "1:2,500" })}</>);
  expect(container.innerHTML).toBe("at 1:2,500, named <b>A1</b>.");
});

// RFC 4647, 3.4: by the parts of the tag from the left.
test("the first language that is wanted and there is spoken", () => {
  expect(languageFor(["pl-PL", "en"], ["de", "pl"])).toBe("pl");
  expect(languageFor(["fr", "en-GB", "pl"], ["pl"])).toBe("en");
  expect(languageFor(["fr"], [])).toBe("en");
});

// Plurals of Polish by CLDR 48: one, few (2 to 4), many.
test("another language is a file of texts", async () => {
  await speak("pl", {
    "Add a cell": "Dodaj komórkę",
    "%{shown} sheets_one": "%{shown} arkusz",
    "%{shown} sheets_few": "%{shown} arkusze",
    "%{shown} sheets_many": "%{shown} arkuszy",
  });
  expect(t("Add a cell")).toBe("Dodaj komórkę");
  expect(t("Not translated yet")).toBe("Not translated yet");
  expect([1, 3, 27].map((number) => counted(number, `${number}`, "sheet", "sheets"))).toEqual([
    "1 arkusz",
    "3 arkusze",
    "27 arkuszy",
  ]);
  await speak("en", {});
});
