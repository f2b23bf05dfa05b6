import type { CuttingPlace } from '../cutting';
import type { Tool } from '../document';
import type { Finding, Reason } from '../finding';
import type { Support } from '../holding';
import type { Beam } from '../mechanics';
import { atMost, cuttingSpeed, type Figure, figure, PLACE, say, type Sentence, spindleSpeed, turnsFor } from '../quantity';
import { type End, writeStep } from '../ref';
import { chatterKept, minutesKept, mmOf, toolOf } from '../shop';
import { lessSwept, outsideOf, type Region } from '../stock';
import { substitutes } from '../tooling';
import { cautionsOf } from './cautions.table';
import { type Facts, reason, type ToGet, wayChosen } from './facts';
import { materialSays } from './materialSays.table';
import { RISK } from './risks.table';
import type { Pass, Step } from './step';
import type { Verb } from './verbs.table';

/** How the work is held: the same for all that is done in one setting. */
export interface Hold {
  readonly id: string;
  readonly end: End;
  readonly place: CuttingPlace;
  /** what its most speed comes from, in words */
  readonly speedBy: Sentence;
  readonly holding: string;
  readonly support: readonly Support[];
  /** z of the face of the jaws */
  readonly jaws: number;
  /** z that a parting blade reaches on the side of the jaws, where the piece is parted here */
  readonly parted?: number;
  /** plain ids of steps that earlier settings have */
  readonly taken: ReadonlySet<string>;
}

/** How things stand where an operation begins. */
export interface At extends Hold {
  readonly stock: Region;
  readonly steps: readonly Step[];
  /** share of the life of its edge that each tool has used up on this piece */
  readonly wear: ReadonlyMap<string, number>;
  /** where operations are only declared nothing is clipped: what earlier settings sweep out of the stock, and the diameter that roughing has left here, mm */
  readonly bare?: { readonly earlier: readonly Region[]; readonly left: number };
}

/** A step as it is made, and what it does to the stock it finds. */
export interface StepCut {
  readonly step: Omit<Step, 'removes' | 'after'>;
  readonly sweeps: Region;
  /** what the shape of its edge leaves standing of that */
  readonly leaves: Region;
  /** metal that stands higher afterwards: a knurl */
  readonly raises?: Region;
}

/** How the work gives way at the place of a row where it does so most. */
export interface Spring {
  readonly passive: Figure;
  /** on radius */
  readonly spring: Figure;
  /** z of that place */
  readonly at: number;
  readonly beam: Beam;
  /** mm from the jaws */
  readonly from: (z: number) => number;
}

/** What an operation comes to. */
export interface Outcome {
  readonly cuts: readonly StepCut[];
  readonly says: readonly Finding[];
  /** minutes that its dangers are taken for when ways are weighed, each with its own */
  readonly risks: readonly number[];
  readonly gets: readonly ToGet[];
  /** the finishing cut under which the work gives way most */
  readonly weakest?: { readonly step: string; readonly spring: Spring };
  /** the diameter that roughing leaves, mm */
  readonly left?: number;
}

/** What order and bounds need of an operation: its steps and dangers, with no word of what it finds. */
export type Declared = Pick<Outcome, 'cuts' | 'risks' | 'left'>;

/**
 * A piece of work that stays together. `declare` says what it does and needs on stock that nothing was clipped from: order and bounds are searched on that. `make` is
 * what it comes to where it really stands. Both are pure: the same facts give the same outcome, and nothing is changed.
 */
export interface Operation {
  readonly declare: (facts: Facts, at: At) => Declared;
  readonly make: (facts: Facts, at: At) => Outcome;
}

/** An outcome while it is written down; nobody sees it before it is whole. */
export interface Draft {
  readonly facts: Facts;
  readonly at: At;
  readonly cuts: StepCut[];
  readonly says: Finding[];
  readonly risks: number[];
  readonly gets: ToGet[];
  weakest?: NonNullable<Outcome['weakest']>;
  left?: number;
}

/** An operation from what writes its outcome. It declares what it would make: one text, so that the two cannot differ. */
export function operation(write: (draft: Draft) => void): Operation {
  const make = (facts: Facts, at: At): Outcome => {
    const draft: Draft = { facts, at, cuts: [], says: [], risks: [], gets: [] };
    write(draft);
    const { cuts, says, risks, gets, weakest, left } = draft;
    return { cuts, says, risks, gets, ...(weakest && { weakest }), ...(left !== undefined && { left }) };
  };
  return { make, declare: make };
}

/** Says what may go wrong in this way and need not in another: it is told, and weighs its minutes. */
export function warn(draft: Draft, finding: Finding): void {
  draft.says.push(finding);
  draft.risks.push(...riskOf(finding));
}

/** The minutes that a danger is taken for; none for what is only noted. */
export const riskOf = ({ severity }: Finding): readonly number[] => (RISK[severity] > 0 ? [RISK[severity]] : []);

/** The most diameter that stands between two places, mm. */
export function standsAt({ stock, bare }: At, from: number, to: number): number {
  if (!bare) return 2 * outsideOf(stock, from, to).most;
  return Math.min(bare.left, 2 * outsideOf(lessSwept(stock, bare.earlier, from, to), from, to).most);
}

export interface StepParts {
  readonly verb: Verb;
  readonly about: string;
  readonly does?: readonly string[];
  readonly says: Sentence;
  /** where a verb has several: 'compound', 'set-over' */
  readonly method?: string | undefined;
  readonly tool?: Tool | undefined;
  readonly gauge?: string | undefined;
  readonly because?: readonly Reason[];
  readonly cautions?: readonly string[];
  readonly figures: Readonly<Record<string, Figure | undefined>>;
  readonly passes?: readonly Pass[];
  readonly series?: Step['series'];
  readonly limits?: Step['limits'] | undefined;
  readonly cut?: Step['cut'];
  readonly sweeps?: Region;
  readonly leaves?: Region;
  readonly raises?: Region;
}

type Writable<T> = { -readonly [K in keyof T]: T[K] };

/** Adds a step: its id from what it does, its speed held against what the holding allows. */
export function addStep(draft: Draft, parts: StepParts): void {
  const { facts, at } = draft;
  const id = stepId(at, parts.verb, parts.about);
  const figures: Record<string, Figure> = {};
  for (const [name, value] of Object.entries(parts.figures)) if (value) figures[name] = value;
  const slower = learnedMinutes(facts, parts, figures);
  const surface = surfaceOf(figures['speed']);
  if (surface) figures['surface'] = surface;
  const risk = riskOfSize(facts, parts);
  if (risk) figures['risk'] = risk;
  // what it has is set, one by one: spreading what it may have is most of the cost of a step
  const step: Writable<StepCut['step']> = {
    id,
    verb: parts.verb,
    does: parts.does ?? [parts.about],
    says: parts.says,
    because: [
      ...(parts.because ?? []),
      ...materialSays(facts.material, parts.verb).map((says) => reason('the-material-says', [says], parts.about)),
      ...slowed(at, id, parts.figures['speed']),
      ...slower,
      ...chattered(facts, parts, surface),
    ],
    cautions: [...cautionsOf(parts.verb), ...(parts.cautions ?? [])],
    figures,
    passes: parts.passes ?? [],
  };
  if (parts.method !== undefined) step.method = parts.method;
  if (parts.tool) step.tool = parts.tool.id;
  if (parts.gauge !== undefined) step.gauge = parts.gauge;
  if (parts.limits) step.limits = parts.limits;
  if (parts.series) step.series = parts.series;
  if (parts.cut) step.cut = parts.cut;
  draft.cuts.push({ step, sweeps: parts.sweeps ?? [], leaves: parts.leaves ?? [], ...(parts.raises && { raises: parts.raises }) });
  checkSpeed(draft, id, figures['speed']);
}

/** Minutes by the record of this lathe where a person kept that, beside what was reckoned; said. */
function learnedMinutes(facts: Facts, { verb, about }: StepParts, figures: Record<string, Figure>): readonly Reason[] {
  const { minutes } = figures;
  const kept = facts.shop.lessons.length > 0 && minutes ? minutesKept(facts.shop.lessons, facts.machine.id, verb) : undefined;
  if (!kept || !minutes) return NONE;
  figures['reckoned'] = minutes;
  figures['minutes'] = figure('time', 'minutesLearned', { reckoned: minutes.value, times: kept.mean });
  return [
    reason(
      'lesson',
      say`this lathe takes ${{ is: 'ratio', value: kept.mean, step: 0.01 }} times as long for it as reckoned, kept from ${kept.count} steps`,
      about,
    ),
  ];
}
const NONE: readonly Reason[] = [];

/** A lesson that was kept: at such a cutting speed, or a lower one, this tool chattered in this material here. */
function chattered({ shop, machine, part }: Facts, { tool, about }: StepParts, surface: Figure | undefined): readonly Reason[] {
  const kept = shop.lessons.length > 0 && surface ? chatterKept(shop.lessons, machine.id, tool?.id, part.material) : undefined;
  if (!kept || !surface || !atMost(kept.mean, surface.value)) return NONE;
  const helped = kept.where['helped'];
  return [
    reason(
      'lesson',
      say`this tool chattered here from ${cuttingSpeed(kept.mean)} up: ${helped === undefined ? 'slower, held shorter, or with a smaller nose' : `what helped was: ${helped.replaceAll('-', ' ')}`}`,
      about,
    ),
  ];
}

/** The cutting speed that a spindle speed makes at the diameter in cut. */
function surfaceOf(speed: Figure | undefined): Figure | undefined {
  const d = speed?.of['d'];
  return speed && typeof d === 'number' ? figure('cuttingSpeed', 'surfaceSpeed', { d, n: speed.value }) : undefined;
}

/** What a size that is measured risks: its tolerance against the doubt of its gauge and the spring of the work. */
function riskOfSize({ part, shop }: Facts, { gauge, about, figures }: StepParts): Figure | undefined {
  const limits = part.features.find((f) => f.id === about)?.nearDiameter;
  const by = gauge === undefined ? undefined : shop.gauges.find((g) => g.id === gauge);
  if (!limits || !by || limits.from === 'general') return undefined;
  const of = { tolerance: limits.max - limits.min, bias: mmOf(by.bias), repeat: mmOf(by.repeat), spring: figures['spring']?.value ?? 0 };
  return figure('time', 'riskOfSize', of, { step: 0.1 });
}

/** `<verb>@<ref>`, with the setting where an earlier one already does the same. */
export function stepId({ id, taken }: Pick<At, 'id' | 'taken'>, verb: Verb, about: string): string {
  const plain = writeStep({ verb, of: about });
  return taken.has(plain) ? `${plain}:${id}` : plain;
}

/** What holds a speed below the one that the tool material would take. */
function slowed(at: At, id: string, speed: Figure | undefined): readonly Reason[] {
  const { v, d, most } = speed?.of ?? {};
  if (speed?.formula !== 'spindleSpeed' || typeof v !== 'number' || typeof d !== 'number' || typeof most !== 'number') return [];
  const asked = turnsFor(v, d);
  if (asked <= most || most < at.place.mostSpeed) return [];
  return [
    reason(
      'speed-limit',
      say`${spindleSpeed(Math.round(most))} at the most: ${at.speedBy}, not the ${spindleSpeed(Math.round(asked))} that the tool would take`,
      id,
    ),
  ];
}

function checkSpeed(draft: Draft, id: string, speed: Figure | undefined): void {
  const { facts, at } = draft;
  if (!speed || atMost(speed.value, at.place.mostSpeed, PLACE)) return;
  const most = Math.max(...speedsAtMost(at.place.mostSpeed, facts));
  const data = facts.chosen.data.get(id);
  warn(draft, {
    code: 'speed-above-holding',
    about: id,
    severity: 'stop',
    says: say`${{ is: 'spindleSpeed', value: speed.value }} is above the ${{ is: 'spindleSpeed', value: at.place.mostSpeed }} that the holding allows`,
    why: say`jaws open under their own weight; what they held comes out`,
    mends: data
      ? [
          {
            says: say`set ${{ is: 'spindleSpeed', value: most }}`,
            to: 'job',
            edits: [{ op: 'put', at: `choices/#${data.id}`, value: { ...data, speed: most } }],
          },
        ]
      : [],
  });
}

function speedsAtMost(most: number, facts: Facts): readonly number[] {
  const speeds = Array.isArray(facts.machine.speeds) ? facts.machine.speeds : [most];
  const under = speeds.filter((s) => s <= most);
  return under.length > 0 ? under : [Math.min(...speeds)];
}

/** Puts a tool on the list of things to get, with what does meanwhile. */
export function putOnList(draft: Draft, kind: Tool['kind'], words: Sentence, id: string): void {
  const instead = substitutes[kind];
  draft.gets.push({
    what: words,
    how: kind === 'form' || kind === 'groove' || kind === 'thread' ? 'make' : 'buy',
    holdsUp: [id],
    ...(instead && { instead: { says: instead.says, costs: figure('time', 'minutesByHand', { handling: instead.minutes }) } }),
  });
}

/** A tool that a person chose and that does not do it: answered, never passed over in silence. */
export function refuseTool(draft: Draft, id: string, tool: Tool, wants: Sentence): void {
  draft.says.push({
    code: 'use-not-possible',
    about: id,
    severity: 'caution',
    says: say`${tool.name} was chosen here and cannot do it`,
    why: say`it wants ${wants}`,
    mends: [],
  });
}

/** The chosen or first fitting tool of a kind; when the shop has none it is put on the list of things to get. */
export function needTool(
  draft: Draft,
  id: string,
  kind: Tool['kind'],
  words: Sentence,
  passes?: (tool: Tool) => boolean,
  strict = false,
): Tool | undefined {
  const { facts } = draft;
  const wish = facts.chosen.use.get(id)?.flatMap((item) => facts.shop.tools.filter((t) => t.id === item && t.kind === kind))[0];
  const asked = wish && (!passes || passes(wish) || !strict) ? wish.id : undefined;
  if (wish && asked === undefined) refuseTool(draft, id, wish, words);
  const tool = toolOf(facts.shop, kind, asked, passes, wayChosen(facts, 'edge') === 'carbide' ? 'carbide' : 'hss');
  if (tool) return tool;
  putOnList(draft, kind, words, id);
  warn(draft, { code: 'no-tool', about: id, severity: 'caution', says: say`the shop has no ${words}`, why: say`this step waits for it`, mends: [] });
  return undefined;
}
