import type { Part } from '../drawing';
import { type Finding, once } from '../finding';
import { verbs } from '../operations';
import { say } from '../quantity';
import { readStep, rowOf } from '../ref';

/** What a plan has to say: one finding for one cause, which names all that it touches. */
export const told = (findings: readonly Finding[], part: Part): readonly Finding[] =>
  once(findings).map((f) => {
    const also = (f.touches ?? []).flatMap((address) => nameOf(address, part));
    return also.length === 0 ? f : { ...f, says: say`${f.says}; also: ${also.join(', ')}` };
  });

/** A step in words, with the row that it works on; nothing for what is no step. */
function nameOf(address: string, part: Part): readonly string[] {
  const { verb } = readStep(address);
  if (!(verb in verbs)) return [];
  const row = part.features.findIndex((f) => f.id === rowOf(address));
  const side = part.features[row]?.side;
  const nth = row < 0 ? 0 : part.features.slice(0, row + 1).filter((f) => f.side === side).length;
  const does = verbs[verb as keyof typeof verbs].toLowerCase();
  if (nth === 0) return [does];
  return [`${does} row ${String(nth)}${side === 'outside' ? '' : ' of the hole'}`];
}
