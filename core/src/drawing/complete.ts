import type { Units } from '../quantity';
import { bsfSizes, bswSizes, drillIndex, metricFineOnly, metricPitches, unifiedSizes } from '../standards';

/** Classes that shafts and holes are usually given, commonest first. @source ISO 286-1 preferred classes, common practice */
const shafts = ['h6', 'h7', 'h9', 'g6', 'f7', 'k6', 'n6', 'p6', 'm6', 'h11'];
const holes = ['H7', 'H8', 'H9', 'H11', 'N7', 'P7', 'F8'];
const tapers = ['MT1', 'MT2', 'MT3', 'MT4', '7/24 30', '7/24 40'];

/**
 * Texts that go on from what stands in a size cell: threads of its diameter, usual classes after a number, tapers, shapes; at most 12, each of which is understood.
 * @param where a hole has classes and threads of its own
 */
export function completions(text: string, units: Units, where: 'outside' | 'inside'): readonly string[] {
  const t = text.trimStart();
  if (t === '') return [];
  const all: string[] = [];
  const own = t.toLowerCase();
  const offer = (more: readonly string[]) => all.push(...more.filter((m) => m.toLowerCase().startsWith(own) && m !== t));
  if (/^m\d*/i.test(t)) offer(metricThreads());
  if (/^[#\d]/.test(t)) offer(inchThreads());
  const number = /^(\d*[.,]?\d+)\s*([a-z]*)$/i.exec(t);
  if (number?.[1] !== undefined && units === 'mm') offer((where === 'outside' ? shafts : holes).map((c) => `${number[1] ?? ''} ${c}`));
  if (number?.[1] !== undefined && units === 'mm' && where === 'outside') offer([`${number[1]} bar`]);
  if (number?.[1] !== undefined && where === 'inside') offer([...(units === 'mm' ? [`${number[1]} H7 reamed`] : []), `${number[1]} drilled`]);
  if (/^#|^l/i.test(t) && where === 'inside')
    offer([...drillIndex('number'), ...drillIndex('letter')].map((d) => (/^[a-z]$/i.test(d.name) ? `letter ${d.name}` : d.name)));
  offer(tapers);
  offer(['hex ', 'square ', 'ball ', 'bar '].filter(() => where === 'outside').map((w) => `${w}${units === 'in' ? '1' : '20'}`));
  return [...new Set(all)].slice(0, 12);
}

const metricThreads = () =>
  [...Object.entries(metricPitches), ...Object.entries(metricFineOnly)]
    .toSorted((a, b) => Number(a[0]) - Number(b[0]))
    .flatMap(([d, pitches]) => pitches.map((p, i) => (i === 0 && d in metricPitches ? `M${d}` : `M${d}x${String(p)}`)));

function inchThreads(): readonly string[] {
  const unified = unifiedSizes.flatMap(([name, , ...series]) =>
    series.flatMap((n, i) => (n === null || i > 1 ? [] : [`${name}-${String(n)} ${i === 0 ? 'UNC' : 'UNF'}`])),
  );
  return [...unified, ...bswSizes.map(([s, n]) => `${s}-${String(n)} BSW`), ...bsfSizes.map(([s, n]) => `${s}-${String(n)} BSF`)];
}
