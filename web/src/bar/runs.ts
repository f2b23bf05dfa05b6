/** A point along the bar, in view coordinates (mm), and a value there. */
type Point = readonly [u: number, value: number];

/**
 * A line along the bar in the pieces that are drawn of it: what break lines leave out is left out of it as well, ending in the line at each of them.
 * @param line in the order of u, either way
 */
export function runsOutside(
  line: readonly Point[],
  breaks: readonly { readonly from: number; readonly to: number }[],
): readonly (readonly Point[])[] {
  const along = line.toSorted((a, b) => a[0] - b[0]);
  const cuts = breaks.toSorted((a, b) => a.from - b.from);
  const stretches = [...cuts.map((b, i) => [cuts[i - 1]?.to ?? -Infinity, b.from] as const), [cuts.at(-1)?.to ?? -Infinity, Infinity] as const];
  return stretches.flatMap(([from, to]) => {
    const run = [...at(along, from), ...along.filter(([u]) => u > from && u < to), ...at(along, to)];
    return run.length > 1 ? [run] : [];
  });
}

/** The line at a place between two of its points; nothing outside of it. */
function at(along: readonly Point[], u: number): readonly Point[] {
  const next = along.findIndex((p) => p[0] >= u);
  const [before, after] = [along[next - 1], along[next]];
  if (!before || !after || after[0] === before[0]) return [];
  return [[u, before[1] + ((after[1] - before[1]) * (u - before[0])) / (after[0] - before[0])]];
}
