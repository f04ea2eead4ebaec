// A part of the book document with what it does not say filled in by the defaults that the core declares
// (generated/defaults), so that a card shows what is drawn. For showing; what goes back says only what was chosen.
export type Filled<Part, Defaults> = Omit<Part, keyof Defaults> & {
  [Key in keyof Defaults & keyof Part]-?: NonNullable<Part[Key]>;
};

/** A part with its defaults filled in. */
export function filled<Part extends object, Defaults extends object>(
  part: Part | null | undefined,
  defaults: Defaults,
): Filled<Part, Defaults> {
  const given = Object.entries(part ?? {}).filter(([, value]) => value !== undefined);
  return { ...defaults, ...Object.fromEntries(given) } as unknown as Filled<Part, Defaults>;
}
