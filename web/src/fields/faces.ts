const WEIGHTS: Record<number, string> = { 300: "light", 400: "regular", 600: "semibold", 700: "bold" };

/** What weights and families of typefaces are called in menus. */
export const weightTitle = (weight: number) => WEIGHTS[weight] ?? String(weight);
export const familyTitle = (family: string) => family.replace(/^Loom /, "");
