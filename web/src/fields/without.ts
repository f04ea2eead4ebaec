/** The same object without some of its members. */
export function without<T extends object, K extends keyof T>(object: T, ...keys: K[]): Omit<T, K> {
  return Object.fromEntries(Object.entries(object).filter(([key]) => !(keys as PropertyKey[]).includes(key))) as Omit<
    T,
    K
  >;
}
