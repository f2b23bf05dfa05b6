import type { Bar, Cell, Gauge, Holding, Machine, Shop, Tool } from '../document';
import { atLeast, atMost, parseLength, PLACE } from '../quantity';
import { practice } from './practice.table';
import { centreNamed, drillNamed, readExternalThread, readInternalThread } from '../standards';

/** Cells are never changed once made: each is read once; nothing for those that cannot be read. */
const readBefore = new WeakMap<Cell, number | undefined>();

/**
 * A cell of the shop in mm; `otherwise` when it cannot be read or is absent.
 * @example mmOf({ text: '1/2', units: 'in' }) // 12.7
 */
export function mmOf(cell: Cell | undefined, otherwise = 0): number {
  if (!cell) return otherwise;
  if (!readBefore.has(cell)) readBefore.set(cell, readCell(cell));
  return readBefore.get(cell) ?? otherwise;
}

function readCell({ text, units }: Cell): number | undefined {
  if (/^\s*0*[.,]?0*\s*(mm|in|")?\s*$/.test(text) && text.trim() !== '') return 0;
  const read = parseLength(text, units);
  return read.ok ? read.value : undefined;
}

const sizes = new WeakMap<Cell, number | undefined>();

/**
 * The size that a tool is called by, mm: a length, or a name of the trade ('#43', 'no. 7', 'F', 'letter Q', a centre drill '#3' or 'A 2.5'); `otherwise` when it has
 * none or it is not understood.
 */
export function sizeOf(tool: Tool, otherwise = 0): number {
  const { size, kind } = tool;
  if (!size) return otherwise;
  if (!sizes.has(size)) sizes.set(size, namedSize(size, kind));
  return sizes.get(size) ?? otherwise;
}

function namedSize(size: Cell, kind: Tool['kind']): number | undefined {
  const text = size.text.trim();
  if (kind === 'centreDrill') {
    const centre = /^(?:[A-Z]\s*\d|#|no\.?)/i.test(text) ? centreNamed(text.replace(/^no\.?\s*/i, '#')) : undefined;
    if (centre?.ok === true) return centre.pilot;
  }
  const read = parseLength(text, size.units);
  if (read.ok) return read.value;
  const name = /^[a-z]$/i.test(text) ? `letter ${text}` : text.replace(/^(?:number|num\.?|nr\.?|wire)\s*/i, '#');
  return drillNamed(name)?.diameter;
}

/** Tools that nothing can be planned with while their size is not known. */
const bySize = new Set<Tool['kind']>(['drill', 'centreDrill', 'ream', 'tap', 'die']);

/** A tool that goes by its size, and whose size is not understood: told on the Shop page, and never planned with. */
export function sizeUnread(tool: Tool): boolean {
  if (!bySize.has(tool.kind)) return false;
  if (tool.kind === 'tap') return readInternalThread(tool.size?.text ?? '')?.ok !== true;
  if (tool.kind === 'die') {
    const name = tool.size?.text ?? '';
    return readExternalThread(name)?.ok !== true && readExternalThread(`${name} A`)?.ok !== true;
  }
  return !(sizeOf(tool) > 0);
}

const without = new WeakMap<Shop, Shop>();

/** The shop without what has no size: what is planned with. */
export function plannable(shop: Shop): Shop {
  const before = without.get(shop);
  if (before) return before;
  const made = shop.tools.some(sizeUnread) ? { ...shop, tools: shop.tools.filter((t) => !sizeUnread(t)) } : shop;
  without.set(shop, made);
  return made;
}

/** Speeds as a list; a stepless range as steps of a twentieth, which a dial shows well enough. */
export function speedsOf(machine: Machine): readonly number[] {
  if (Array.isArray(machine.speeds)) return machine.speeds;
  const { from, to } = machine.speeds;
  const steps = 60;
  return Array.from({ length: steps + 1 }, (_, i) => Math.round(from * (to / from) ** (i / steps)));
}

export function machineOf(shop: Shop, id: string | undefined): Machine | undefined {
  return shop.machines.find((m) => m.id === id) ?? shop.machines[0];
}

export function holdingOf(shop: Shop, id: string): Holding | undefined {
  return shop.holdings.find((h) => h.id === id);
}

export const isChuck = (holding: Holding): boolean => ['threeJaw', 'fourJaw', 'softJaws', 'collet', 'softCollet', 'splitBush'].includes(holding.kind);

/** How far a collet of a set closes under its size, mm: one over a span closes by a millimetre, one of a single size by little. @source common practice */
const closesBy = (name: string): number => (/\ber\s*\d/i.test(name) ? 1 : practice.colletCloses);

/** The collet of a set that closes on this diameter, mm; undefined where none does, or it is no set. */
export const colletFor = (holding: Holding, diameter: number): Cell | undefined =>
  holding.sizes?.find((s) => atLeast(diameter, mmOf(s) - closesBy(holding.name), PLACE) && atMost(diameter, mmOf(s) + practice.colletOpens, PLACE));

/** Grips this outside diameter (mm): of a set of collets one that is of its size. */
export function grips(holding: Holding, diameter: number): boolean {
  if (!isChuck(holding)) return false;
  if (holding.sizes !== undefined && holding.sizes.length > 0) return colletFor(holding, diameter) !== undefined;
  return holding.outside !== undefined && atLeast(diameter, mmOf(holding.outside.from), PLACE) && atMost(diameter, mmOf(holding.outside.to), PLACE);
}

/** Holds a bar of this form: collets and bushes round ones, three jaws what has three like sides, four jaws anything. @source common practice */
export function takesForm(holding: Holding, form: Bar['form']): boolean {
  if (form === 'round' || form === 'tube' || holding.kind === 'fourJaw') return true;
  return form === 'hex' && holding.jaw?.count === 3 && (holding.kind === 'threeJaw' || holding.kind === 'softJaws');
}

/** One standard deviation of what a gauge shows, bias and repeat together, mm. */
export function doubtOf(gauge: Gauge): number {
  return Math.hypot(mmOf(gauge.bias), mmOf(gauge.repeat));
}

/**
 * A gauge can prove a tolerance: resolution to a fifth, doubt to a quarter (two standard deviations). @source right-gauge, common practice
 * @example proves(midShop().gauges.find((g) => g.kind === 'caliper'), 0.013) // false
 */
export function proves(gauge: Gauge, tolerance: number): boolean {
  return atMost(mmOf(gauge.resolution), tolerance / 5) && atMost(2 * doubtOf(gauge), tolerance / 4);
}

const outsideGauges = ['caliper', 'micrometer'];

/** The plainest outside gauge of the shop that proves this size, else the finest that reaches it. */
export function gaugeFor(shop: Shop, size: number, tolerance: number): Gauge | undefined {
  return bestOf(shop, outsideGauges, size, tolerance);
}

function bestOf(shop: Shop, kinds: readonly string[], size: number, tolerance: number): Gauge | undefined {
  const fitting = shop.gauges
    .filter((g) => kinds.includes(g.kind) && mmOf(g.from) <= size && size <= mmOf(g.to))
    .toSorted((a, b) => doubtOf(b) - doubtOf(a));
  return fitting.find((g) => proves(g, tolerance)) ?? fitting.at(-1);
}

const boreGauges = ['telescoping', 'bore', 'plugPins'];

/** The plainest gauge of the shop that proves a bore of this size, else the finest that reaches it. */
export function boreGaugeFor(shop: Shop, size: number, tolerance: number): Gauge | undefined {
  return bestOf(shop, boreGauges, size, tolerance);
}

/** The gauge for a hole or its depth. */
export function insideGaugeFor(shop: Shop): Gauge | undefined {
  return shop.gauges.find((g) => g.kind === 'depth') ?? shop.gauges.find((g) => g.kind === 'caliper');
}

/** What looks over a size that nobody measures fine. */
export const caliperOf = (shop: Shop): Gauge | undefined => shop.gauges.find((g) => g.kind === 'caliper');

/** A tool of a kind, the one asked for when it is of that kind, else the first that passes, of the tool material that the shop takes first. */
export function toolOf(
  shop: Shop,
  kind: Tool['kind'],
  asked: string | undefined,
  passes: (tool: Tool) => boolean = () => true,
  first: Tool['grade'] = 'hss',
): Tool | undefined {
  const all = shop.tools.filter((t) => t.kind === kind);
  const ofKind = [...all.filter((t) => t.grade === first), ...all.filter((t) => t.grade !== first)];
  return ofKind.find((t) => t.id === asked) ?? ofKind.find(passes);
}
