/**
 * Which of some languages a tag of RFC 5646 stands for, by its parts from the left (RFC 4647, 3.4): "de-AT" for "de";
 * undefined for none.
 */
export function lookUp<Tag extends string>(tag: string, there: readonly Tag[]): Tag | undefined {
  const parts = tag.toLowerCase().split("-");
  for (let length = parts.length; length > 0; length -= 1) {
    const part = parts.slice(0, length).join("-");
    const found = there.find((known) => known.toLowerCase() === part);
    if (found) return found;
  }
  return undefined;
}
