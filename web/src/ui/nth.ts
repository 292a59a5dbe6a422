/** What stands at a place of a list that has it, from the end when below nought; a place it has not is a fault of Shim. */
export function nth<T>(list: readonly T[], i: number): T {
  const found = list.at(i);
  if (found === undefined) throw new Error(`nothing at ${i} of ${list.length}`);
  return found;
}
