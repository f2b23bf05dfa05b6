import { type Detail, type Drawing, type Entry, type Job, liveEntries, type Section } from '../document';
import { detailWords, facesNamed, type ListName, listNames } from '../drawing';
import { say, type Sentence } from '../quantity';
import { aspectOf, rowOf, thingOf } from '../ref';

/** One size of the drawing that is no longer what was given out. */
export interface Change {
  /** the thing and its aspect: 's3.diameter' */
  readonly of: string;
  /** its name in words */
  readonly says: Sentence;
  readonly was: string;
  readonly now: string;
  /** what it reaches beyond its own row */
  readonly touches: readonly Sentence[];
  /** the entry that keeps this very change, where one was written */
  readonly noted: Extract<Entry, { kind: 'changed' }> | undefined;
}

/** Something was cut or measured of this job: from then on a change of the drawing has a history. */
export const cuttingBegan = (log: readonly Entry[]): boolean =>
  liveEntries(log).some((e) => e.kind === 'cut' || e.kind === 'done' || e.kind === 'reading');

/** Every size, length, edge, detail and fit that differs from the drawing that was given out, with what it touches. */
export function changesOf(job: Job, log: readonly Entry[]): readonly Change[] {
  const was = job.issue?.drawing;
  if (!was) return [];
  const [before, after] = [textsOf(was), textsOf(job.drawing)];
  const entries = liveEntries(log);
  const changed = [...new Set([...before.keys(), ...after.keys()])].filter((of) => (before.get(of) ?? '') !== (after.get(of) ?? ''));
  return changed.map((of): Change => {
    const [old, now] = [before.get(of) ?? '', after.get(of) ?? ''];
    const noted = entries.flatMap((e) => (e.kind === 'changed' && e.of === of ? [e] : [])).at(-1);
    return {
      of,
      says: nameOf(of, was, job.drawing),
      was: old,
      now,
      touches: touched(of, was, job.drawing, entries),
      noted: noted?.was === old && noted.now === now ? noted : undefined,
    };
  });
}

/** What stands in every cell, by the aspect that it says; texts in the other unit name it. */
function textsOf(drawing: Drawing): ReadonlyMap<string, string> {
  const texts = new Map<string, string>();
  const put = (of: string, cell: Section['size'] | undefined) => {
    const text = cell?.text.trim() ?? '';
    if (cell && text !== '') texts.set(of, cell.units === 'in' ? `${text} in` : text);
  };
  for (const list of listNames)
    for (const row of drawing[list]) {
      put(`${row.id}.diameter`, row.size);
      put(`${row.id}.length`, row.length);
      for (const aspect of ['near', 'far', 'usable', 'finish'] as const) put(`${row.id}.${aspect}`, row[aspect]);
    }
  for (const detail of drawing.details) texts.set(detail.id, saidOf(detail));
  for (const mate of drawing.mates) put(mate.id, mate.want);
  put('overall', drawing.overall);
  texts.set('material', drawing.material);
  return texts;
}

const aspects: Readonly<Record<string, string>> = {
  diameter: 'size',
  length: 'length',
  near: 'edge to A',
  far: 'edge to B',
  usable: 'full thread',
  finish: 'finish',
};
const places: Readonly<Record<ListName, string>> = { outside: 'row', boreRight: 'hole A, row', boreLeft: 'hole B, row' };

/** 'row 2, size'; a row that is gone is named by the place it had. */
export function nameOf(of: string, ...drawings: readonly Drawing[]): Sentence {
  const [id, aspect = ''] = [thingOf(of), aspectOf(of)];
  for (const drawing of drawings.toReversed()) {
    for (const list of listNames) {
      const at = drawing[list].findIndex((r) => r.id === id);
      if (at >= 0) return say`${places[list]} ${at + 1}, ${aspects[aspect] ?? aspect}`;
    }
    const detail = drawing.details.find((d) => d.id === id);
    if (detail) return [detailWords[detail.kind]];
    const fit = drawing.mates.findIndex((m) => m.id === id);
    if (fit >= 0) return say`fit ${fit + 1}`;
  }
  return [of];
}

const saidOf = (d: Detail): string => [d.kind, d.size.text, d.length?.text, d.at.text].filter((t) => t !== undefined && t.trim() !== '').join(' ');

function touched(of: string, was: Drawing, now: Drawing, log: readonly Entry[]): readonly Sentence[] {
  const [id, aspect = ''] = [thingOf(of), aspectOf(of)];
  const says: Sentence[] = [];
  for (const mate of now.mates) if (thingOf(mate.of) === id) says.push(say`the fit to ${mate.piece === '' ? 'its piece' : mate.piece}`);
  if (aspect === 'length') {
    const rows = listNames.flatMap((list) => {
      const at = now[list].findIndex((r) => r.id === id);
      return at < 0 ? [] : now[list].slice(at + 1).filter((r) => r.from === undefined && r.size.text.trim() !== '');
    });
    if (rows.length > 0) says.push(say`the place of ${rows.length} ${rows.length > 1 ? 'rows' : 'row'} after it`);
    const face = facesNamed(now);
    const own = face(`${id}.far`);
    const cutFrom = listNames.flatMap((list) => now[list].filter((r) => r.id !== id && r.from !== undefined && face(r.from) === own));
    if (cutFrom.length > 0) says.push(say`${cutFrom.length} ${cutFrom.length > 1 ? 'lengths' : 'length'} cut from its shoulder`);
  }
  const on = was.details.some((d) => d.id === id) ? id : undefined;
  const done = new Set(
    log.flatMap((e) => {
      const step = e.kind === 'done' ? e.step : undefined;
      const made = step !== undefined && step !== null && rowOf(step) === (on ?? id);
      const read = e.kind === 'reading' && thingOf(e.of) === id;
      return made || read ? [e.piece] : [];
    }),
  );
  if (done.size > 0) says.push(say`${done.size > 1 ? 'pieces' : 'piece'} ${[...done].toSorted((a, b) => a - b).join(', ')}, made to the old one`);
  return says;
}
