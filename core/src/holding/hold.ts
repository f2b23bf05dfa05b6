import type { Choice, Holding, Shop } from '../document';
import type { Finding, Reason } from '../finding';
import { type Figure, figure, length, ratio, say, spindleSpeed } from '../quantity';
import { endOf } from '../ref';
import { isChuck, mmOf, practice } from '../shop';
import { bends, doesNotClose, gripFindings, keepFindings, otherKind, partsOf, roomFindings, stickOutFindings } from './against';
import type { Held } from './held';
import { runoutOf } from './runout';
import { isThin } from './squeeze';
import { spokenAgainst } from './speaks.table';
import { supportFindings, type Supporting, supportKind, type SupportKind, supportsOf } from './supports';

export interface Support {
  readonly item: string;
  readonly kind: SupportKind;
  /** z, and how far that is from the free face, mm */
  readonly at: number;
  readonly from: number;
}

/** One way of holding for one setup, weighed. */
export interface HoldingChoice {
  readonly setup: string;
  readonly holding: string;
  readonly support: readonly Support[];
  readonly grip: Figure;
  readonly stickOut: Figure;
  readonly score: Figure;
  readonly because: readonly Reason[];
  readonly findings: readonly Finding[];
}

/**
 * Every holding of the shop, alone and with each support; best first. Nothing is left out: what cannot be used says why.
 * @param bare with nothing that carries the free end
 */
export function weighHoldings(held: Held, shop: Shop, bare = false): readonly HoldingChoice[] {
  const options = shop.holdings
    .filter((h) => !isSupport(h))
    .flatMap((holding) => (isChuck(holding) && !bare ? supportsOf(held, shop) : [undefined]).map((support) => weigh(held, holding, support)));
  return options.toSorted((a, b) => b.score.value - a.score.value);
}

const isSupport = (holding: Holding) => supportKind[holding.kind] !== undefined;

function weigh(held: Held, holding: Holding, support: Supporting | undefined): HoldingChoice {
  const [grip, stickOut] = [held.grip(holding), held.stickOut(holding)];
  const slender = stickOut.value / (held.slim ?? held.diameter);
  const carried = support?.kind === 'centre' || support?.kind === 'followRest';
  const stop = otherKind(held, holding) ?? doesNotClose(held, holding);
  const findings: Finding[] = [
    ...(stop ? [stop] : []),
    ...(isChuck(holding)
      ? [
          ...stickOutFindings(held.setup, holding, carried, slender, stickOut.value, support?.kind === 'followRest'),
          ...bends(held, holding, support, stickOut.value),
        ]
      : holding.kind === 'centres' && !stop
        ? bends(held, holding, support, stickOut.value)
        : []),
    ...(support ? supportFindings(held, support, stickOut.value) : []),
    ...(stop ? [] : [...gripFindings(held, holding, support !== undefined, grip.value, stickOut.value), ...roomFindings(held, holding)]),
  ];
  const because = reasonsOf(held, holding, support, slender, stickOut.value, grip.value);
  findings.push(...keepFindings(held, holding, grip.value));
  const score = figure('ratio', 'score', {
    runout: mmOf(holding.trueWithin),
    weight: held.finished ? 1 : 0.1,
    marks: holding.marks && held.finished ? 1 : 0,
    // the further beyond four diameters nothing carries it, the more that speaks against it, and beyond five three times as much
    cautions:
      spokenAgainst(findings) +
      (carried || !isChuck(holding) ? 0 : Math.max(0, slender - practice.partedOut) + 2 * Math.max(0, slender - practice.carriedFrom)),
    effort: (effort[holding.kind] ?? 2) + (support ? (support.kind === 'centre' && !support.steady ? 1 : 2) : 0),
  });
  return { setup: held.setup, holding: holding.id, support: standing(held, support), grip, stickOut, score, because, findings };
}

/** Things to change, bore or dial before a holding is ready. @source common practice */
const effort: Readonly<Partial<Record<Holding['kind'], number>>> = { threeJaw: 0, collet: 1, softJaws: 2, softCollet: 2, splitBush: 2, fourJaw: 3 };

const standing = (held: Held, support: Supporting | undefined): readonly Support[] =>
  support
    ? [
        ...(support.centre ? [{ item: support.centre, at: support.at }] : []),
        { item: support.item, at: support.at },
        ...(support.steady ? [support.steady] : []),
      ].map(({ item, at }) => ({ item: item.id, kind: supportKind[item.kind] ?? 'centre', at, from: Math.abs(at - held.face) }))
    : [];

function reasonsOf(held: Held, holding: Holding, support: Supporting | undefined, slender: number, out: number, grip: number): readonly Reason[] {
  const binds = [held.setup];
  const because: Reason[] = [];
  if (holding.kind === 'softJaws' || holding.kind === 'softCollet')
    because.push({
      rule: 'bored-seat',
      says: say`bored closed on a pin under the same load, its corner relieved so that the work seats on the face`,
      binds,
    });
  if (isChuck(holding) && held.wall && isThin(held.wall))
    because.push({
      rule: 'thin-wall',
      says: say`a wall of ${length(held.wall.outer - held.wall.inner)}: closed on lightly${holding.kind === 'threeJaw' || holding.kind === 'fourJaw' ? '' : ', all round'}, or it comes out of round when it is let go`,
      binds,
    });
  if (holding.marks && held.finished)
    because.push({ rule: 'soft-pads', says: say`hard jaws mark a finished surface: copper or aluminium pads under them`, binds });
  const carried = {
    centre: 'the tailstock centre carries the free end',
    followRest: 'the follow rest goes along behind the tool',
    steady: 'the steady carries the free end while it is drilled and bored',
  };
  if (held.carried === 'centres')
    because.push(
      { rule: 'between-centres', says: say`${length(out)} between centres is ${ratio(slender, 0.1)} diameters, carried at both ends`, binds },
      {
        rule: 'moved-is-lost',
        says: say`it returns to its centres within ${length(mmOf(holding.trueWithin), 0.001)} TIR: both ends run true to one another`,
        binds,
      },
    );
  else if (held.carried === 'plate')
    because.push({ rule: 'rough-back', says: say`clamped by its back on three points of one height, the clamps moved in turn`, binds });
  else if (holding.kind === 'arbor' || holding.kind === 'cushionedArbor')
    because.push({ rule: 'thin-wall', says: say`held by its whole bore: light cuts, turned true to it, no jaw on the outside`, binds });
  else
    because.push({
      rule: 'stick-out',
      says: support
        ? say`${length(out)} out is ${ratio(slender, 0.1)} diameters: ${carried[support.kind]}`
        : say`${length(out)} out is ${ratio(slender, 0.1)} diameters`,
      binds,
    });
  if (held.carried === undefined)
    because.push(
      held.finished
        ? { rule: 'moved-is-lost', says: say`turned round it runs true within ${length(mmOf(holding.trueWithin), 0.001)} TIR`, binds }
        : { rule: 'one-chucking', says: say`what is turned in one chucking runs true to itself`, binds },
    );
  for (const relation of held.keep) {
    const { expected, within } = runoutOf(partsOf(holding, relation.faces, grip));
    const chance = within(relation.limit).value;
    if (chance >= 0.95)
      because.push({
        rule: 'runout',
        says: say`${relation.words} within ${length(relation.limit, 0.001)} is kept in ${Math.floor(100 * chance)} of 100: up to ${expected} TIR`,
        binds,
      });
  }
  if (holding.maxSpeed < held.wantsSpeed)
    because.push({
      rule: 'speed-limit',
      says: say`allows ${spindleSpeed(holding.maxSpeed)} of the ${spindleSpeed(Math.round(held.wantsSpeed))} that the tool would take`,
      binds,
    });
  return because;
}

/** The choice of a person for this setup, else the best that is not forbidden, else the best. */
export function takeHolding(options: readonly HoldingChoice[], choice: Extract<Choice, { kind: 'hold' }> | undefined): HoldingChoice | undefined {
  const free = options.find((o) => o.findings.every((f) => f.severity !== 'stop')) ?? options[0];
  if (!choice) return free;
  const asked = choice.support.map((x) => x.item);
  const like = options.filter((o) => o.holding === choice.holding);
  const taken =
    like.find((o) => o.support.length === asked.length && o.support.every((x) => asked.includes(x.item))) ??
    // a follow rest brings its centre along
    (asked.length > 0 ? like.find((o) => asked.every((item) => o.support.some((x) => x.item === item))) : undefined) ??
    like.find((o) => o.support.length > 0 === asked.length > 0) ??
    like[0] ??
    free;
  return taken && { ...taken, support: taken.support.map((x) => placed(taken, x, choice)) };
}

/** A steady is placed by its distance from the free face; centres stand in it. */
function placed(taken: HoldingChoice, support: Support, choice: Extract<Choice, { kind: 'hold' }>): Support {
  const typed = choice.support.find((x) => x.item === support.item)?.at;
  const at = typed && mmOf(typed, NaN);
  if (at === undefined || !(at > 0) || support.from === 0) return support;
  const inwards = endOf(taken.setup) === 'left' ? 1 : -1;
  return { ...support, from: at, at: support.at + inwards * (at - support.from) };
}
