import { drillIndex, drillNamed, fit, namedTaper, nearestDrills, sizeLimits, tapDrills, threadLimits, wires } from '@obra/core/standards';

/** Look-ups a second. */
export function standards(): void {
  const asked = lookUps(50_000);
  const began = performance.now();
  for (const ask of asked) ask();
  const took = performance.now() - began;
  console.log(`look-ups, distinct and mixed: ${Math.round((1000 * asked.length) / took).toLocaleString('en')} a second on one core (aim 10,000)`);
}

/** Look-ups as people mix them, each designation once: nothing could be remembered from one to the next. */
function lookUps(count: number): readonly (() => unknown)[] {
  let seed = 20261125;
  const upTo = (n: number) => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return seed % n;
  };
  const one = <T>(list: readonly T[]): T => list[upTo(list.length)] as T;
  const size = () => ((upTo(499_000) + 1000) / 1000).toFixed(3);
  const drills = drillIndex('metric');
  const kinds = [
    () => {
      const text = `${size()} ${one(['h', 'g', 'f', 'k', 'n', 'p', 'H', 'K', 'N', 'P'])}${String(5 + upTo(5))}`;
      return () => sizeLimits(text);
    },
    () => {
      const text = `${size()} H${String(6 + upTo(4))}/${one(['g6', 'f7', 'k6', 's6', 'p6'])}`;
      return () => fit(text);
    },
    () => {
      const text = `M${size().slice(0, -1)}x${(0.3 + upTo(300) / 100).toFixed(2)}-${one(['6g', '6H', '5g6g', '4h', '7H'])}`;
      return () => threadLimits(text);
    },
    () => {
      const text = `${(0.1 + upTo(30000) / 10000).toFixed(4)}-${String(8 + upTo(60))} UNS-${one(['1A', '2A', '3A', '2B', '3B'])}`;
      return () => threadLimits(text);
    },
    () => {
      const text = `M${String(4 + upTo(60))}x${one(['0.5', '0.75', '1', '1.25', '1.5', '2'])}-6g`;
      return () => wires(text);
    },
    () => {
      const text = one(['M3', 'M6', 'M8x1', 'M10', '10-32', '1/4-20', '1/2-13', 'M12x1.5']);
      const percent = 55 + upTo(3000) / 100;
      return () => tapDrills(text, { drills, percent });
    },
    () => {
      const text = `#${String(1 + upTo(80))}`;
      return () => drillNamed(text);
    },
    () => {
      const mm = Number(size()) / 20;
      return () => nearestDrills(mm);
    },
    () => {
      const text = one(['Morse 2', 'Jarno 7', '7/24 40', 'Jacobs 33', 'B&S 9']);
      return () => namedTaper(text);
    },
  ];
  return Array.from({ length: count }, () => one(kinds)());
}
