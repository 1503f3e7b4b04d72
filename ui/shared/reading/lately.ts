/** Knows how the last few things made are kept: by what they were made from, the ones made longest ago making room. */

/** `make`, keeping the last `most` of what it made by `keyOf` what they were made from; a promise that fails is not kept. */
export function lately<A extends unknown[], V>(most: number, keyOf: (...from: A) => string, make: (...from: A) => V): (...from: A) => V {
  const kept = new Map<string, V>();
  return (...from) => {
    const key = keyOf(...from);
    const there = kept.get(key);
    if (there !== undefined) return there;
    if (kept.size >= most) kept.delete(kept.keys().next().value!);
    const made = make(...from);
    kept.set(key, made);
    if (made instanceof Promise) made.catch(() => kept.delete(key));
    return made;
  };
}
