/**
 * The same function that remembers its last answers: while one cell is typed in, all others are read as before. Answers must not be changed by who gets them.
 * @param keyOf what an answer depends on
 * @param most answers kept; then it begins anew
 */
export function remember<A extends readonly unknown[], R>(compute: (...args: A) => R, keyOf: (...args: A) => string, most = 500): (...args: A) => R {
  const known = new Map<string, R>();
  return (...args) => {
    const key = keyOf(...args);
    const before = known.get(key);
    if (before !== undefined) return before;
    const made = compute(...args);
    if (known.size >= most) known.clear();
    known.set(key, made);
    return made;
  };
}
