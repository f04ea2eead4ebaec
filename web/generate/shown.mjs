// Texts of the core that the interface shows: in generated files they are looked up in the catalogue, as all others.
const MARK = "\u0001";

/** A text as it goes into what is to be written. */
export const shown = (text) => MARK + text;

/** JSON in which marked texts have become calls. */
export const withTexts = (json) => json.replace(/"\\u0001((?:[^"\\]|\\.)*)"/g, 't("$1")');

/** What a file with such texts begins with. */
export const IMPORT = 'import { t } from "../texts/t";';
