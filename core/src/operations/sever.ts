import { speedFor } from '../cutting';
import { faceOf, inward, letterOf, otherEnd, rowAt } from '../drawing';
import { partingForce } from '../mechanics';
import { diameter, figure, length, say, tidy } from '../quantity';
import type { End } from '../ref';
import { mmOf, practice } from '../shop';
import { type Region, turned } from '../stock';
import { giveOfBlade } from '../tooling';
import { chosenData, type Facts, reason, wayChosen } from './facts';
import type { Tool } from '../document';
import { openBetween } from './open';
import { addStep, type At, type Draft, needTool, type Operation, operation, standsAt, stepId, warn } from './outcome';

/** A choice of how to sever stands for whichever end is worked last. */
const SEVERED: readonly End[] = ['left', 'right'];

export interface Severing {
  readonly method: 'part' | 'saw';
  /** width of the kerf, mm */
  readonly width: number;
  /** the parting blade would not reach */
  readonly tooDeep: boolean;
  readonly limit: number;
}

/** Parting or sawing: the shop's way, except that a blade parts at most 8 widths of radius and within its reach. */
export function severingOf(facts: Pick<Facts, 'chosen' | 'shop'>, radius: number): Severing {
  const chosen = SEVERED.map((end) => facts.chosen.method.get(end)?.method).find((m) => m !== undefined && m !== 'face');
  const asked = (chosen ?? wayChosen(facts, 'severing')) === 'saw' ? 'saw' : 'part';
  const blade = facts.shop.tools.find((t) => t.kind === 'part');
  const saw = facts.shop.tools.find((t) => t.kind === 'saw');
  const width = mmOf(blade?.width, 3);
  const limit = Math.min(8 * width, mmOf(blade?.reach, Infinity));
  const tooDeep = radius > limit;
  const method = asked === 'saw' || (tooDeep && chosen === undefined) ? 'saw' : 'part';
  return { method, width: method === 'saw' ? mmOf(saw?.width, 1.5) : width, tooDeep, limit };
}

/** How a piece comes off its bar: one of several that stand out together, or with the face that is left for good. */
interface Severed {
  readonly parted?: true;
  readonly several?: { readonly together: number };
}

/** Severs the piece at `z`; the kerf lies beyond its allowance for facing. */
export const sever = (severing: Severing, z: number, radius: number, { parted, several }: Severed = {}): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const far = otherEnd(at.end);
    const zero = letterOf(at.end);
    const out = Math.abs(z - faceOf(facts.part, at.end));
    if (severing.method === 'part' && (several?.together ?? 1) === 1) farFromJaws(draft, severing, z, radius);
    const verb = severing.method === 'saw' ? 'saw-off' : 'part-off';
    const id = stepId(at, verb, far);
    const sweeps = turned(z, z + inward(at.end) * severing.width, -1);
    if (severing.method === 'part' && severing.tooDeep) {
      warn(draft, {
        code: 'parting-depth',
        about: id,
        severity: 'stop',
        says: say`${length(radius)} deep is more than the blade parts, ${length(severing.limit)}`,
        why: say`up to 8 blade widths and within its reach`,
        mends: [
          {
            says: say`saw it off and face`,
            to: 'job',
            edits: [{ op: 'put', at: 'choices/#method-left', value: { kind: 'method', id: 'method-left', of: 'left', method: 'saw' } }],
          },
        ],
      });
    }
    if (severing.method === 'saw') {
      if (severing.tooDeep && wayChosen(facts, 'severing') !== 'saw')
        warn(draft, {
          code: 'sawn-instead',
          about: id,
          severity: 'note',
          says: say`sawn off, though this shop parts: ${length(radius)} deep is more than the blade parts, ${length(severing.limit)}`,
          why: say`up to 8 blade widths and within its reach; a wider or longer blade would`,
          mends: [],
        });
      const tool = needTool(draft, id, 'saw', say`hacksaw`);
      addStep(draft, {
        verb,
        about: far,
        tool,
        says: say`${length(severing.width)} kerf, ${length(out)} from face ${zero}`,
        because: [
          severing.tooDeep
            ? reason('parting-depth', say`${length(radius)} deep is more than the blade parts (${length(severing.limit)})`, far)
            : reason('part-near', say`saw and face: no chatter`, far),
        ],
        figures: {
          minutes: figure('time', 'sawing', { area: sectionAt(at, z), rate: sawRate(facts, tool), handling: practice.minutesSaw }, { step: 1 }),
        },
        sweeps,
      });
      return;
    }
    const tool = needTool(draft, id, 'part', say`parting blade`);
    const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'part', 2 * radius));
    const feed = tool && chosenData(facts, id, 'feed', figure('feed', 'feedByHand', { asked: 0.05 }));
    const edge =
      feed &&
      figure('force', 'forceOfEdge', { kc: facts.material.kc, mc: facts.material.mc, b: severing.width, h: feed.value, factor: SIDES }, { step: 1 });
    // as far as the hole that is there: the piece falls when the wall is through
    const wall = wallAt(at, z + (inward(at.end) * severing.width) / 2, radius);
    const blade = tool && giveOfBlade(tool, wall + 2);
    addStep(draft, {
      verb,
      about: far,
      tool,
      says: say`blade ${length(severing.width)}, its edge towards the piece ${length(out)} from face ${zero}`,
      because: [
        reason(
          'part-near',
          at.place.centre
            ? wayChosen(facts, 'centre') === 'never'
              ? say`close to the jaws, the centre withdrawn first: a pinched piece climbs on the blade`
              : say`close to the jaws; withdraw the centre while the core is a quarter of the diameter`
            : say`close to the jaws, half the turning speed`,
          far,
        ),
        ...(parted
          ? [
              reason(
                'parted-to-thickness',
                say`parted to its length: no finish and no finer thickness is asked of face ${letterOf(far)}, which stays as the blade leaves it, its edges broken with a file; caught on a rod`,
                far,
              ),
            ]
          : []),
        ...(burr(facts, far)
          ? [
              reason(
                'chamfer-before-severing',
                say`no edge is drawn there: the burr that the blade leaves at the back edge is filed off before it is through`,
                far,
              ),
            ]
          : []),
        reason('tool-width', say`blade’s edge towards the headstock touched on face ${zero}: move ${length(out + severing.width)}`, far),
      ],
      figures: {
        speed,
        feed,
        depth: figure('length', 'distance', { value: wall }),
        force: edge,
        power: edge && speed && figure('power', 'power', { Fc: edge.value, d: 2 * radius, n: speed.value }),
        spring: edge && blade && figure('length', 'springOfBar', { F: edge.value, give: 1000 * blade.compliance }, { step: 0.01 }),
        minutes:
          speed &&
          feed &&
          figure('time', 'minutes', { passes: 1, length: wall, approach: 2, f: feed.value, n: speed.value, handling: practice.minutesPart }),
      },
      sweeps,
    });
  });

/** The metal between the outside and a hole that is there already, mm on radius. */
function wallAt(at: At, z: number, radius: number): number {
  const open = openBetween(at, z - 0.5, z + 0.5);
  return tidy(Math.max(1, radius - (Number.isFinite(open) ? open / 2 : 0)));
}

/** The last row has no edge of its own at the end that is severed. */
function burr({ part }: Facts, far: End): boolean {
  const last = rowAt(
    part.features.filter((f) => f.side === 'outside'),
    far,
  );
  const edge = far === 'left' ? last?.edgeFar : last?.edgeNear;
  return edge?.kind === 'none' || edge?.kind === 'sharp';
}

/** The metal that a saw goes through at a place, mm2. */
function sectionAt(at: At, z: number): number {
  const outer = standsAt(at, z - 0.5, z + 0.5) / 2;
  const open = openBetween(at, z - 0.5, z + 0.5);
  const inner = Number.isFinite(open) ? Math.min(open / 2, outer) : 0;
  return tidy(Math.PI * (outer ** 2 - inner ** 2));
}

/** What a saw takes in a minute, mm2: by hand, or a power saw by its name, in this metal. @source time-of-sawing, common practice */
export function sawRate({ material }: Pick<Facts, 'material'>, tool: Tool | undefined): number {
  const base = /band|power|machine/i.test(tool?.name ?? '') ? practice.sawsPower : practice.sawsHand;
  const tough = material.group === 'M' || material.group === 'S' || ['aluminium-bronze', 'silver-steel', 'alloy-steel'].includes(material.id);
  return base * (tough ? practice.sawsTough : material.group === 'N' ? practice.sawsSoft : material.group === 'O' ? practice.sawsPlastic : 1);
}

/** The sides of a blade rub. @source common practice, a tenth more */
const SIDES = partingForce(1000, 0, 1, 1).cutting / 1000;

/** A kerf far from the jaws, of hollow or long work, chatters and digs in. @source part-near, common practice */
function farFromJaws(draft: Draft, { width }: Severing, z: number, radius: number): void {
  const { facts, at } = draft;
  const far = Math.abs(z + inward(at.end) * width - at.jaws);
  const hollow = facts.part.features.some((f) => f.through === true);
  if (far <= (hollow ? 1 : 2) * radius || far <= 13) return;
  warn(draft, {
    code: 'part-near',
    about: stepId(at, 'part-off', otherEnd(at.end)),
    severity: 'caution',
    says: say`${hollow ? 'a hollow piece is' : 'it is'} parted ${length(far, 0.1)} from the jaws, at ${diameter(2 * radius)}`,
    why: say`it chatters and the blade digs in: pull it closer, or saw and face`,
    mends: [
      {
        says: say`saw it off and face`,
        to: 'job',
        edits: [{ op: 'put', at: 'choices/#method-left', value: { kind: 'method', id: 'method-left', of: 'left', method: 'saw' } }],
      },
    ],
  });
}

/** The blade in some way before severing, so that the back edge can be broken. */
export function backGroove(at: number, along: number, radius: number): Region {
  return turned(at, at + along, Math.max(1, radius));
}
