import mergePatch from "json-merge-patch";

/** A document with a merge patch (RFC 7396) put into it, as JSON; it stays as it is. */
export const merged = <T extends object>(document: T, patch: object): T =>
  mergePatch.apply(structuredClone(document), JSON.parse(JSON.stringify(patch)) as object) as T;
