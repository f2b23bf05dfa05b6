import { type End, writeStep } from '../ref';
import type { Bar, Job, Machine, Shop, Tool } from '../document';
import type { Part } from '../drawing';
import type { Finding, Reason } from '../finding';
import type { StartedPiece, Support } from '../holding';
import type { Beam } from '../mechanics';
import { minutesInCut, type Place } from '../cutting';
import { type Figure, figure, say, type Sentence, spindleSpeed } from '../quantity';
import { area, combine, type Region } from '../stock';
import { mmOf, toolOf, wayOf } from '../shop';
import type { Material } from '../standards';
import { cautionsOf } from './cautions.table';
import { type Chosen, orChosen } from './choices';

import type { Pass, Step } from './types';
import { substitutes } from './substitutes.table';
import type { Verb } from './verbs.table';

/** Less than this of the section is no cut, mm2. */
const AIR = 0.002;

export interface ToGet {
  readonly what: Sentence;
  readonly how: 'buy' | 'make' | 'order';
  readonly holdsUp: readonly string[];
  /** what does at hand meanwhile, and its price */
  readonly instead?: { readonly says: Sentence; readonly costs: Figure };
}

/** What every maker of steps needs to know; findings and things to get are collected as steps are made. */
export interface Context {
  readonly job: Job;
  readonly shop: Shop;
  readonly part: Part;
  readonly material: Material;
  readonly machine: Machine;
  readonly bar: Bar;
  /** the finished part, for cuts that follow its outline */
  readonly finished: Region;
  readonly chosen: Chosen;
  /** the piece that is worked on where it is no fresh bar */
  readonly started?: StartedPiece;
  /** orders found for the same pieces of work before, by setup and support */
  readonly orders: Map<string, KnownOrder>;
  /** share of the life of its edge that each tool has used up on this piece */
  readonly wear: Map<string, number>;
  readonly findings: Finding[];
  readonly toGet: ToGet[];
}

/** An order of the pieces of work of a setup, and by which steps those were known. */
export interface KnownOrder {
  readonly keys: readonly (string | undefined)[];
  readonly order: readonly number[];
  readonly unproven: number | undefined;
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

/** One setup while its steps are made: the stock as it stands, and the place that bounds each cut. */
export interface SetupDraft {
  readonly id: string;
  readonly end: End;
  readonly place: Place;
  /** what its most speed comes from, in words */
  readonly speedBy: Sentence;
  readonly holding: string;
  readonly support: readonly Support[];
  /** z of the face of the jaws */
  readonly jaws: number;
  readonly steps: Step[];
  /** what each step sweeps: what it removes is cut out of the stock once the order stands */
  readonly sweeps: Map<string, Region>;
  /** which setup first claimed a step's plain id */
  readonly ids: Map<string, string>;
  stock: Region;
  /** where only the steps are asked for: nothing is clipped, and what would have gone is put here */
  swept?: Region[] | undefined;
  /** by how much the order of its steps may be dearer than the cheapest, minutes */
  unproven?: number;
  /** where it gives way most while it is finished */
  weakest?: { readonly step: string; readonly spring: Spring };
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
  /** what the shape of its edge leaves standing of that */
  readonly leaves?: Region;
  /** metal that stands higher afterwards: a knurl */
  readonly raises?: Region;
}

type Writable<T> = { -readonly [K in keyof T]: T[K] };

/** Adds a step: its id from what it does, its region from what it sweeps. */
export function addStep(ctx: Context, setup: SetupDraft, parts: StepParts): void {
  const id = stepId(setup, parts.verb, parts.about);
  const after = cutIn(ctx, setup, id, parts);
  if (!after) return;
  const figures: Record<string, Figure> = {};
  for (const [name, value] of Object.entries(parts.figures)) if (value) figures[name] = value;
  const surface = surfaceOf(figures['speed']);
  if (surface) figures['surface'] = surface;
  const risk = riskOf(ctx, parts);
  if (risk) figures['risk'] = risk;
  // what it has is set, one by one: spreading what it may have is most of the cost of a step
  const step: Writable<Step> = {
    id,
    verb: parts.verb,
    does: parts.does ?? [parts.about],
    says: parts.says,
    because: [...(parts.because ?? []), ...slowed(setup, id, parts.figures['speed'])],
    cautions: [...cautionsOf(parts.verb), ...(parts.cautions ?? [])],
    figures,
    passes: parts.passes ?? [],
    removes: [],
    after,
  };
  if (parts.method !== undefined) step.method = parts.method;
  if (parts.tool) step.tool = parts.tool.id;
  if (parts.gauge !== undefined) step.gauge = parts.gauge;
  if (parts.limits) step.limits = parts.limits;
  if (parts.series) step.series = parts.series;
  if (parts.cut) step.cut = parts.cut;
  setup.steps.push(step);
  setup.stock = after;
  const life = figures['life']?.value;
  if (parts.tool && life !== undefined) ctx.wear.set(parts.tool.id, (ctx.wear.get(parts.tool.id) ?? 0) + minutesInCut(figures['minutes']) / life);
  checkSpeed(ctx, setup, id, figures['speed']);
}

/** The cutting speed that a spindle speed makes at the diameter in cut. */
function surfaceOf(speed: Figure | undefined): Figure | undefined {
  const d = speed?.of['d'];
  return speed && typeof d === 'number' ? figure('cuttingSpeed', 'surfaceSpeed', { d, n: speed.value }) : undefined;
}

/** The stock after a step; undefined where the piece was already started and the step finds air. */
function cutIn(ctx: Context, setup: SetupDraft, id: string, { sweeps = [], leaves = [], raises }: StepParts): Region | undefined {
  if (setup.swept) {
    setup.swept.push(sweeps);
    return setup.stock;
  }
  const swept = sweeps.length > 0 && leaves.length > 0 ? combine('difference', sweeps, leaves) : sweeps;
  const cut = swept.length > 0 ? combine('difference', setup.stock, swept) : setup.stock;
  // a piece already started has some of it done: nothing is cut in air
  if (ctx.started && swept.length > 0 && area(setup.stock) - area(cut) < AIR) return undefined;
  if (cut !== setup.stock) setup.sweeps.set(id, swept);
  return raises ? combine('union', cut, raises) : cut;
}

/** What a size that is measured risks: its tolerance against the doubt of its gauge and the spring of the work. */
function riskOf({ part, shop }: Context, { gauge, about, figures }: StepParts): Figure | undefined {
  const limits = part.features.find((f) => f.id === about)?.nearDiameter;
  const by = gauge === undefined ? undefined : shop.gauges.find((g) => g.id === gauge);
  if (!limits || !by || limits.from === 'general') return undefined;
  const of = { tolerance: limits.max - limits.min, bias: mmOf(by.bias), repeat: mmOf(by.repeat), spring: figures['spring']?.value ?? 0 };
  return figure('time', 'riskOfSize', of, { step: 0.1 });
}

/** `<verb>@<ref>`, with the setup where an earlier one already does the same. */
export function stepId(setup: SetupDraft, verb: Verb, about: string): string {
  const plain = writeStep({ verb, of: about });
  const owner = setup.ids.get(plain);
  if (owner === undefined) setup.ids.set(plain, setup.id);
  return owner === undefined || owner === setup.id ? plain : `${plain}:${setup.id}`;
}

/** What holds a speed below the one that the tool material would take. */
function slowed(setup: SetupDraft, id: string, speed: Figure | undefined): readonly Reason[] {
  const { v, d, most } = speed?.of ?? {};
  if (speed?.formula !== 'spindleSpeed' || typeof v !== 'number' || typeof d !== 'number' || typeof most !== 'number') return [];
  const asked = (1000 * v) / (Math.PI * d);
  if (asked <= most || most < setup.place.mostSpeed) return [];
  return [
    reason(
      'speed-limit',
      say`${spindleSpeed(Math.round(most))} at the most: ${setup.speedBy}, not the ${spindleSpeed(Math.round(asked))} that the tool would take`,
      id,
    ),
  ];
}

function checkSpeed(ctx: Context, setup: SetupDraft, id: string, speed: Figure | undefined): void {
  if (!speed || speed.value <= setup.place.mostSpeed + 1e-6) return;
  const most = Math.max(...speedsAtMost(setup.place.mostSpeed, ctx));
  const data = ctx.chosen.data.get(id);
  ctx.findings.push({
    code: 'speed-above-holding',
    about: id,
    severity: 'stop',
    says: say`${{ is: 'spindleSpeed', value: speed.value }} is above the ${{ is: 'spindleSpeed', value: setup.place.mostSpeed }} that the holding allows`,
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

function speedsAtMost(most: number, ctx: Context): readonly number[] {
  const speeds = Array.isArray(ctx.machine.speeds) ? ctx.machine.speeds : [most];
  const under = speeds.filter((s) => s <= most);
  return under.length > 0 ? under : [Math.min(...speeds)];
}

/** Puts a tool on the list of things to get, with what does meanwhile. */
export function lacks(ctx: Context, kind: Tool['kind'], words: Sentence, id: string): void {
  const instead = substitutes[kind];
  ctx.toGet.push({
    what: words,
    how: kind === 'form' || kind === 'groove' || kind === 'thread' ? 'make' : 'buy',
    holdsUp: [id],
    ...(instead && { instead: { says: instead.says, costs: figure('time', 'minutesByHand', { handling: instead.minutes }) } }),
  });
}

/** The chosen or first fitting tool of a kind; when the shop has none it is put on the list of things to get. */
export function needTool(ctx: Context, id: string, kind: Tool['kind'], words: Sentence, passes?: (tool: Tool) => boolean): Tool | undefined {
  const asked = ctx.chosen.use.get(id)?.find((item) => ctx.shop.tools.some((t) => t.id === item && t.kind === kind));
  const tool = toolOf(ctx.shop, kind, asked, passes, way(ctx, 'edge') === 'carbide' ? 'carbide' : 'hss');
  if (tool) return tool;
  lacks(ctx, kind, words, id);
  ctx.findings.push({
    code: 'no-tool',
    about: id,
    severity: 'caution',
    says: say`the shop has no ${words}`,
    why: say`this step waits for it`,
    mends: [],
  });
  return undefined;
}

/** A value of a data choice for this step over the computed figure. */
export function data(ctx: Context, id: string, name: 'speed' | 'feed' | 'depth' | 'passes', computed: Figure): Figure {
  return orChosen(computed, ctx.chosen.data.get(id)?.[name]);
}

export const way = (ctx: Context, key: string): string => wayOf(key, ctx.shop.ways, ctx.chosen.ways);

export const byHand = (handling: number): Figure => figure('time', 'minutesByHand', { handling });

export const reason = (rule: string, says: Sentence, ...binds: readonly string[]): Reason => ({ rule, says, binds });
