import type { Tool } from '../../document';
import { faceOf, type Feature, innerOf, longOf, mouthOf, otherEnd, threadOf } from '../../drawing';
import type { Mend } from '../../finding';
import { alreadyMade } from '../../holding';
import { diameter, length, say, tidy, writeExact } from '../../quantity';
import type { End } from '../../ref';
import { practice, sizeOf } from '../../shop';
import { nearestDrills } from '../../standards';
import { byHand, type Facts, reason } from '../facts';
import { insideGrooves } from '../edges/grooves';
import { addStep, type Draft, type Operation, operation, putOnList, refuseTool, stepId, warn } from '../outcome';
import { spareIn } from '../spare';
import { singlePointed, writeThread } from '../threads';
import { bore, ream } from './boring';
import { checkQuill, oneDrill } from './drilling';
import { type Ladder, ladderOf } from './ladder';
import { coneOf, type Move, type Rung, THROUGH } from './rung';
import { edgeSize, mouth, opensAt } from './mouth';
import { openAtFace } from '../open';
import { drawerOf, drillAt, pricesOf, reachedOf, rungsOf } from './rungs';
import { tapRow } from './tapping';

/** How far the halves of a hole that is drilled from both ends pass one another, mm. @source judgement */
const MEETS = 2;

/** A plain hole through, that no drill reaches: how deep from its own end, and how deep from the other; mm from their faces. */
function fromBothEnds(facts: Facts, row: Feature): { readonly own: number; readonly other: number } | undefined {
  if (row.through !== true || row.form !== 'cylinder' || facts.started || row.nearDiameter.from !== 'general' || row.made === 'reamed')
    return undefined;
  const total = Math.abs(row.far - faceOf(facts.part, row.side === 'left' ? 'left' : 'right'));
  const spread = Math.max(0.06, (row.nearDiameter.max - row.nearDiameter.min) / 2);
  const fits = drawerOf(facts).drills.filter((d) => Math.abs(d.size - row.nearDiameter.nominal) <= spread);
  if (fits.length === 0 || fits.some((d) => total + THROUGH + coneOf(d, 0) <= d.reach)) return undefined;
  const reach = Math.max(...fits.map((d) => d.reach - coneOf(d, 0)));
  const own = Math.floor(Math.min(reach - THROUGH, total));
  const other = tidy(total - own + MEETS);
  return own > 0 && other <= reach ? { own, other } : undefined;
}

/** Rows whose hole opens at this end and is begun at the other: what is left of their depth to drill from here, or an edge to break. */
const comesOut = (facts: Facts, end: End): readonly Feature[] =>
  facts.part.features.filter(
    (f) => f.side === otherEnd(end) && f.through === true && (fromBothEnds(facts, f) !== undefined || edgeSize(f.edgeFar) !== undefined),
  );

/** Something is to be done in a hole from this end. */
export const holeAt = (facts: Facts, end: End): boolean => facts.part.features.some((f) => f.side === end) || comesOut(facts, end).length > 0;

/**
 * The hole of this setup's end: the ladder for all its rows, what finishes each, its grooves, mouths and threads; and what comes out here of the other end's.
 * @param only the rows that are made now, where others wait
 */
export const makeHole = (only: (row: Feature) => boolean = () => true): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const { started } = facts;
    const rows = facts.part.features.filter((f) => f.side === at.end && only(f) && !(started && alreadyMade(f, started)));
    if (rows.length > 0) ownHole(draft, rows);
    for (const row of comesOut(facts, at.end).filter(only)) {
      const both = fromBothEnds(facts, row);
      if (both) fromThisEndToo(draft, row, both.other);
      if (opensAt(draft, row)) mouth(draft, row, true);
    }
  });

function ownHole(draft: Draft, rows: readonly Feature[]): void {
  const { facts, at } = draft;
  const drawer = drawerOf(facts);
  const rungs = rungsOf(facts, at, rows).map((rung, i) => shortened(draft, rung, rows[i], drawer));
  const prices = pricesOf(facts);
  let ladder = ladderOf(rungs, drawer, prices);
  if (rungs.some((r) => r.asked !== undefined) && !Number.isFinite(ladder.cost)) ladder = ladderOf(rungs.map(unasked), drawer, prices);
  for (const rung of rungs)
    if (rung.asked !== undefined && !ladder.moves.some((m) => m.is === 'drill' && m.tool === rung.asked)) cannotUse(draft, rung);
  const rowOf = (id: string) => rows.find((r) => r.id === id);
  const led = new Map<string, number>();
  for (const move of ladder.moves) {
    const row = rowOf(move.row);
    if (move.is !== 'drill' || !row) continue;
    const owned = toolBy(facts, move);
    const tool = owned ?? drillToGet(facts, move.size);
    if (!owned)
      lacksDrill(
        draft,
        row,
        tool,
        rungs.find((r) => r.row === row.id),
      );
    const before = led.get(row.id) ?? 0;
    if (move.leads) led.set(row.id, before + 1);
    const about = move.leads && before > 0 ? `${row.id}.${String(before + 1)}` : row.id;
    oneDrill(draft, row, {
      tool,
      before: move.before,
      past: openPast(ladder, move, rungs, drillAt(tool)),
      deep: move.depth,
      about,
      ...(!owned && { lacking: true as const }),
      ...(move.leads && { leads: move.leads }),
    });
    // the quill goes as deep as the point
    const { half, size } = drillAt(tool);
    if (!move.leads)
      checkQuill(
        draft,
        stepId(at, 'drill', row.id),
        tidy(move.depth + coneOf({ half, size }, move.before)),
        row.through === true
          ? undefined
          : (by) => shorterBy(row, at.end, Math.floor(move.depth - by - Math.abs(mouthOf(row, at.end) - faceOf(facts.part, at.end)))),
      );
  }
  rungs.forEach((rung, i) => {
    const row = rows[i];
    if (row) finishRow(draft, row, rung, ladder);
  });
}

/** A hole made as short as something reaches, mm. */
const shorterBy = (row: Feature, end: End, long: number): Mend => ({
  says: say`make it ${length(long)} deep`,
  to: 'job',
  edits: [
    {
      op: 'put',
      at: `drawing/${end === 'right' ? 'boreRight' : 'boreLeft'}/#${row.id}/length`,
      value: { text: writeExact(long, 'mm'), units: 'mm' },
    },
  ],
});

function unasked(rung: Rung): Rung {
  const { asked, ...rest } = rung;
  return asked === undefined ? rung : rest;
}

/** What stands open beyond the point of a drill: a hole that goes deeper than its whole cone. */
function openPast(
  ladder: Ladder,
  move: Move & { readonly is: 'drill' },
  rungs: readonly Rung[],
  { size, half }: { readonly size: number; readonly half: number },
): number {
  const tip = move.depth + coneOf({ size, half }, 0);
  const earlier = ladder.moves.slice(0, ladder.moves.indexOf(move)).filter((m) => m.is === 'drill' && m.depth >= tip);
  const there = rungs.find((r) => r.row === move.row);
  return Math.max(0, there?.stands ?? 0, ...earlier.map((m) => (m.is === 'drill' ? m.size : 0)));
}

/** The drill that is wanted and not there: on the list; of a plain hole the nearest that are there are offered. */
function lacksDrill(draft: Draft, row: Feature, tool: Tool, rung: Rung | undefined): void {
  const { facts, at } = draft;
  const id = stepId(at, 'drill', row.id);
  putOnList(draft, 'drill', say`${tool.name}`, id);
  if (rung?.wants !== 'drill') return;
  const near = drawerOf(facts)
    .drills.filter((d) => d.reach >= rung.to && d.half < 90)
    .toSorted((a, b) => Math.abs(a.size - rung.aim) - Math.abs(b.size - rung.aim))
    .slice(0, 2);
  warn(draft, {
    code: 'no-drill',
    about: id,
    severity: 'caution',
    says: say`the shop has no ${tool.name}`,
    why: say`nor a boring bar that would open a smaller hole to it`,
    mends: near.flatMap((d) => facts.shop.tools.filter((t) => t.id === d.id)).map((t) => sizeMend(at.end, row, t)),
  });
}

const sizeMend = (end: End, row: Feature, tool: Tool): Mend => ({
  says: say`drill ${tool.name.replace(/^drill\s+/, '')}`,
  to: 'job',
  edits: [
    {
      op: 'put',
      at: `drawing/${end === 'right' ? 'boreRight' : 'boreLeft'}/#${row.id}/size`,
      value: tool.size ?? { text: writeExact(sizeOf(tool), 'mm'), units: 'mm' },
    },
  ],
});

/** A drill as it would be bought. */
function drillToGet({ job }: Facts, size: number): Tool {
  const [named] = nearestDrills(size, job.units === 'in' ? ['number', 'letter', 'fraction'] : ['metric']);
  const text = named && Math.abs(named.diameter - size) < 0.01 ? named.name : writeExact(size, 'mm');
  return { id: 'to-get', name: `drill ${text}`, kind: 'drill', size: { text: writeExact(size, 'mm'), units: 'mm' }, grade: 'hss', hand: 'right' };
}

const toolBy = ({ shop }: Facts, move: Move): Tool | undefined => shop.tools.find((t) => t.id === move.tool);

function cannotUse(draft: Draft, rung: Rung): void {
  const tool = draft.facts.shop.tools.find((t) => t.id === rung.asked);
  if (tool) refuseTool(draft, stepId(draft.at, 'drill', rung.row), tool, say`a drill that makes this hole and reaches ${length(rung.to, 0.1)}`);
}

/** A row that is drilled as deep as its drills reach, the rest from the other end; where they do not meet it is told. */
function shortened(draft: Draft, rung: Rung, row: Feature | undefined, drawer: ReturnType<typeof drawerOf>): Rung {
  const { facts, at } = draft;
  const both = row && fromBothEnds(facts, row);
  if (both) return { ...rung, to: both.own, ends: 'point' };
  const reach = reachedOf(rung, drawer);
  if (!row || reach === undefined || rung.wants !== 'drill') return rung;
  const id = stepId(at, 'drill', row.id);
  const most = Math.floor(reach);
  putOnList(draft, 'drill', say`long drill ${length(rung.aim)} that reaches ${length(tidy(rung.to + THROUGH), 0.1)}`, id);
  warn(draft, {
    code: 'deeper-than-drill',
    about: id,
    severity: 'stop',
    says: say`the drills here reach ${length(most)}; the hole is ${length(rung.to)} deep`,
    why: row.through === true ? say`the flutes must clear the mouth; from both ends they do not meet` : say`the flutes must clear the mouth`,
    mends: row.through === true || most - rung.from < 2 ? [] : [shorterBy(row, at.end, Math.floor(reach - rung.from))],
  });
  return { ...rung, to: Math.max(1, most - THROUGH), ends: 'point' };
}

/** What finishes a row when its drills are through: bar or reamer, grooves, mouth, thread. */
function finishRow(draft: Draft, row: Feature, rung: Rung, ladder: Ladder): void {
  const { facts } = draft;
  const mine = ladder.moves.filter((m) => m.row === row.id);
  const last = mine.findLast((m) => m.is === 'drill');
  let core = last?.size ?? rung.stands;
  for (const [i, move] of mine.entries()) {
    const tool = toolBy(facts, move);
    const next = mine[i + 1];
    if (move.is === 'bore') {
      bore(draft, row, { tool: chosenBar(draft, row, tool, move.from), from: move.from, ...(next?.is === 'ream' && { toReam: move.to }) });
      core = move.to;
    }
    if (move.is === 'ream' && tool) ream(draft, row, tool, move.left, rung.wants === 'bore');
    if (move.is === 'flat') flatFloor(draft, row, move.size, tool, core);
  }
  if (rung.stands > rung.most + 1e-6 && rung.straight) tooLarge(draft, row, rung);
  tellSize(draft, row, rung, mine);
  const thread = threadOf(row);
  insideGrooves(draft, row);
  // a bar or a tap starts clean in a chamfer
  mouth(draft, row);
  if (!thread) return;
  if (singlePointed(facts, row, core)) writeThread(draft, row);
  else tapRow(draft, row, thread, core);
}

/** A hole that is over its size already: nothing makes it smaller. @source never-back, common practice */
function tooLarge(draft: Draft, row: Feature, rung: Rung): void {
  warn(draft, {
    code: 'never-back',
    about: `${row.id}.diameter`,
    severity: 'caution',
    says: say`the hole that is there stands at ${diameter(rung.stands, 0.01)}; ${diameter(rung.most, 0.001)} is the most that is drawn`,
    why: say`no bar makes it smaller: a sleeve, the next size, or another piece`,
    mends: [],
  });
}

/** The bar that a person chose, where it enters and reaches. */
function chosenBar(draft: Draft, row: Feature, bar: Tool | undefined, from: number): Tool | undefined {
  const { facts, at } = draft;
  const id = stepId(at, 'bore', row.id);
  const asked = facts.chosen.use.get(id)?.flatMap((item) => facts.shop.tools.filter((t) => t.id === item && t.kind === 'bore'))[0];
  if (!asked || asked === bar) return bar;
  const deep = Math.abs(innerOf(row, at.end) - faceOf(facts.part, at.end));
  const fits = drawerOf(facts).bars.some((b) => b.id === asked.id && b.shank <= practice.barEnters * from + 1e-6 && b.reach >= deep - 1e-6);
  if (fits) return asked;
  refuseTool(draft, id, asked, say`a bar up to ${length(practice.barEnters * from, 0.1)} thick that reaches ${length(deep, 0.1)}`);
  return bar;
}

/** A floor made flat by a flat drill or cutter; where there is none it is on the list. @source flat bottoms want a flat tool, common practice */
function flatFloor(draft: Draft, row: Feature, size: number, tool: Tool | undefined, from: number): void {
  const { facts, at } = draft;
  const deep = tidy(Math.abs(innerOf(row, at.end) - faceOf(facts.part, at.end)));
  if (tool) {
    oneDrill(draft, row, { tool, before: Math.min(from, sizeOf(tool)), past: 0, deep, about: `${row.id}.floor` });
    return;
  }
  const id = stepId(at, 'bore', row.id);
  const words = say`flat-bottomed drill or counterbore ${length(size)}`;
  putOnList(draft, 'drill', words, id);
  warn(draft, {
    code: 'flat-bottom',
    about: id,
    severity: 'caution',
    says: say`the floor is drawn flat, and nothing in the drawer makes one of ${diameter(size)}`,
    why: say`a drill leaves a cone; no boring bar enters: a flat-bottomed drill, or an old one ground flat, led by the hole`,
    mends: [
      {
        says: say`draw a drill point`,
        to: 'job',
        edits: [{ op: 'put', at: `drawing/${at.end === 'right' ? 'boreRight' : 'boreLeft'}/#${row.id}/far`, value: { text: '118', units: 'mm' } }],
      },
    ],
  });
  addStep(draft, {
    verb: 'bore',
    about: row.id,
    does: [`${row.id}.diameter`],
    says: say`${diameter(size)} × ${length(deep)} deep, its floor flat`,
    because: [reason('drill-bore-ream', say`a flat-bottomed drill, led by the hole that is there; slow, fed by hand to the depth`, row.id)],
    figures: { minutes: byHand(practice.minutesBoreHand + longOf(row) / practice.borePerMinute) },
    sweeps: spareIn(facts, mouthOf(row, at.end), innerOf(row, at.end), -1, size / 2),
  });
}

/** A hole or core that the drawer makes only nearly: told with what is off, and the usual drill on the list. @source cutter-fits, drill-cuts-over */
function tellSize(draft: Draft, row: Feature, rung: Rung, mine: readonly Move[]): void {
  const { facts, at } = draft;
  const id = stepId(at, 'drill', row.id);
  const drill = mine.findLast((m) => m.is === 'drill');
  const finished = mine.some((m) => m.is === 'bore' || m.is === 'ream' || m.is === 'flat');
  if ((rung.wants !== 'drill' && rung.wants !== 'core') || finished || !drill) return;
  if (drill.tool === undefined || (drill.size >= rung.least - 1e-6 && drill.size <= rung.most + 1e-6)) return;
  const words = rung.wants === 'core' ? say`drill ${length(rung.aim)} for the core of ${row.thread ?? ''}` : say`drill ${length(rung.aim)}`;
  putOnList(draft, 'drill', words, id);
  const tool = toolBy(facts, drill);
  warn(draft, {
    code: 'no-drill',
    about: id,
    severity: 'caution',
    says: say`the shop has no drill of ${diameter(rung.aim)}; the nearest makes ${diameter(drill.size)}`,
    why:
      rung.wants === 'core'
        ? say`the core of ${row.thread ?? ''} may be ${diameter(rung.least, 0.001)} to ${diameter(rung.most, 0.001)}`
        : say`nor a boring bar that would open a smaller hole to it`,
    mends: rung.wants === 'drill' && tool ? [sizeMend(at.end, row, tool)] : [],
  });
}

/** What no drill reached from the other end. @source drill-ladder, common practice: they meet a little offset */
function fromThisEndToo(draft: Draft, row: Feature, deep: number): void {
  const { facts, at } = draft;
  const spread = Math.max(0.06, (row.nearDiameter.max - row.nearDiameter.min) / 2);
  const fits = drawerOf(facts).drills.filter((d) => Math.abs(d.size - row.nearDiameter.nominal) <= spread && d.reach - coneOf(d, 0) >= deep);
  const drill = fits.toSorted((a, b) => Math.abs(a.size - row.nearDiameter.nominal) - Math.abs(b.size - row.nearDiameter.nominal))[0];
  const tool = facts.shop.tools.find((t) => t.id === drill?.id);
  if (!tool) return;
  const inward = at.end === 'right' ? -1 : 1;
  const open = Math.min(sizeOf(tool), openAtFace(at, faceOf(facts.part, at.end), inward));
  oneDrill(draft, row, { tool, before: open, past: 0, deep, about: row.id });
  draft.says.push({
    code: 'drill-ladder',
    about: stepId(at, 'drill', row.id),
    severity: 'note',
    says: say`${diameter(row.nearDiameter.nominal)} is drilled from both ends: no drill here reaches through`,
    why: say`the halves meet a few tenths offset, more in a slender hole: for clearance, not for a fit; a long drill of the size would do it in one`,
    mends: [],
  });
}
