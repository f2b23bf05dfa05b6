import type { Machine, Shop } from '../document';
import type { Step } from '../operations';
import { length, ratio, say, type Sentence, spindleSpeed, surfaceAt } from '../quantity';
import type { Setup } from '../settings';
import { mmOf, practice } from '../shop';
import { type Material, materialOf } from '../standards';

/** What goes wrong at the machine, in the words of who stands there. @source diagnosis, common practice */
export const symptoms = {
  chatter: 'it chatters',
  strings: 'long strings',
  rough: 'the finish is rough',
  taper: 'it comes out tapered',
  oversize: 'the drilled hole is over size',
  grabs: 'the drill grabs',
  parting: 'the blade screams or digs in',
  bellmouth: 'the bore is wider at its mouth',
  tight: 'the thread is tight',
  drifts: 'the size drifts',
} as const;

export type Symptom = keyof typeof symptoms;

export interface Cause {
  /** kept in the log as what was tried */
  readonly remedy: string;
  readonly says: Sentence;
  readonly does: Sentence;
  /** how much this setup's own numbers speak for it; 1 is as usual */
  readonly weight: number;
}

/** The symptoms that a step can show. */
export function symptomsOf(step: Step): readonly Symptom[] {
  const turning: readonly Symptom[] = ['chatter', 'strings', 'rough', 'taper', 'drifts'];
  switch (step.verb) {
    case 'rough-turn':
    case 'finish-turn':
    case 'face':
    case 'neck':
      return turning;
    case 'bore':
      return ['chatter', 'bellmouth', 'rough', 'strings', 'drifts'];
    case 'drill':
    case 'pilot':
      return ['grabs', 'oversize', 'strings'];
    case 'ream':
      return ['chatter', 'oversize', 'rough'];
    case 'part-off':
    case 'groove':
    case 'undercut':
      return ['parting', 'chatter'];
    case 'thread':
    case 'die':
    case 'tap':
      return ['tight', 'rough', 'chatter'];
    case 'taper':
    case 'form':
    case 'chamfer':
    case 'knurl':
      return ['chatter', 'rough'];
    default:
      return [];
  }
}

interface Numbers {
  readonly slender: number;
  readonly spring: number;
  readonly speed: number;
  /** m/min at the diameter in cut */
  readonly cutting: number;
  readonly worn: number;
  readonly shallow: boolean;
  readonly carried: boolean;
  readonly offset: number;
  readonly material: Material;
}

function numbersOf(step: Step, setup: Setup, shop: Shop, machine: Machine | undefined, material: string): Numbers {
  const { speed, spring, minutes, life, depth } = step.figures;
  const tool = shop.tools.find((t) => t.id === step.tool);
  const d = typeof speed?.of['d'] === 'number' ? speed.of['d'] : 0;
  return {
    slender: setup.stickOut.value / Math.max(1, setup.gripDiameter),
    spring: spring?.value ?? 0,
    speed: speed?.value ?? 0,
    cutting: surfaceAt(d, speed?.value ?? 0),
    worn: life && life.value > 0 ? (minutes?.value ?? 0) / life.value : 0,
    shallow: tool?.chips !== undefined && (depth?.value ?? Infinity) < tool.chips.depth[0],
    carried: setup.support.length > 0 || setup.carried === 'centres',
    offset: Math.abs(mmOf(machine?.tailstockOffset)),
    material: materialOf(material),
  };
}

/**
 * What likely causes a symptom here, likeliest first: the order of the trade, moved by this setup's own stick-out, spring, speed, wear and chip window. One remedy at a
 * time, so that one knows what helped.
 */
export function causesOf(symptom: Symptom, step: Step, setup: Setup, shop: Shop, machine: Machine | undefined, material: string): readonly Cause[] {
  const at = numbersOf(step, setup, shop, machine, material);
  const slender = say`${length(setup.stickOut.value, 0.1)} out is ${ratio(at.slender, 0.1)} diameters${at.carried ? ', carried at its end' : ''}`;
  const cause = (remedy: string, says: Sentence, does: Sentence, weight = 1): Cause => ({ remedy, says, does, weight });
  const dull = cause('fresh edge', say`a dull edge pushes`, say`hone or index it`, 1 + 4 * at.worn);
  const slower = cause('slower', say`${spindleSpeed(at.speed)} meets the note of work or tool`, say`a third slower, feed as it is or a little more`);
  const gibsOrPost = cause('gibs and post', say`a loose gib, post or centre`, say`nip quill, carriage and gibs; less overhang of the tool`, 0.9);
  const listed: Readonly<Record<Symptom, readonly Cause[]>> = {
    chatter: [
      cause(
        'support',
        slender,
        at.carried ? say`less stick-out, or a rest beside the cut` : say`less stick-out, or bring the centre up`,
        at.carried ? 0.6 : at.slender / 3,
      ),
      gibsOrPost,
      cause(
        'narrower',
        say`a wide edge or a large nose takes a wide chip`,
        say`a smaller nose, a lighter depth with more feed`,
        step.verb === 'form' || step.verb === 'chamfer' ? 2 : 0.8,
      ),
      dull,
      slower,
    ],
    strings: [
      cause(
        'deeper',
        at.shallow ? say`the depth is under what this insert breaks` : say`the chip is too thin to break`,
        say`deeper, inside its window`,
        at.shallow ? 2 : 1,
      ),
      cause('more feed', say`the feed is too fine to break a chip`, say`more feed, before more speed`, 0.95),
      cause(
        'hook',
        say`${at.material.name} makes strings by itself`,
        say`stop, clear them with a hook, never by hand`,
        at.material.id.startsWith('stainless') || at.material.group === 'N' ? 1.2 : 0.5,
      ),
    ],
    rough: [
      dull,
      cause(
        'faster',
        say`at ${Math.round(at.cutting)} m/min steel builds up on the edge and tears`,
        say`faster, or cutting oil`,
        at.cutting > 0 && at.cutting < practice.sticksUnder && at.material.group === 'P' ? 1.8 : 0.6,
      ),
      cause('finer feed', say`the feed is coarse for the nose radius`, say`a finer feed, or a larger nose`, 0.8),
      cause('two like cuts', say`too light a cut rubs instead of cutting`, say`two real cuts, each deeper than a third of the nose`, 0.7),
    ],
    taper: [
      cause(
        'tailstock',
        at.offset > 0 ? say`the tailstock stands ${length(at.offset, 0.001)} off` : say`the tail centre stands off the axis`,
        say`two collars, measure both, correct it`,
        at.carried ? 1 + 20 * at.offset : 0.3,
      ),
      cause(
        'support',
        say`it gives way ${length(at.spring, 0.001)} where it is weakest`,
        say`a centre or rest, lighter like cuts`,
        at.carried ? 0.7 : 0.4 + 40 * at.spring,
      ),
      dull,
      cause('bed', say`the headstock or a worn bed`, say`try a short plain bar on its own; level the bed`, 0.4),
    ],
    oversize: [
      cause('lips', say`lips of unequal length or angle`, say`regrind it by a gauge, try it in scrap`),
      cause('pilot', say`no pilot or centre to start it true`, say`centre drill, then a pilot`, 0.9),
      cause('tailstock', say`the tailstock stands off the axis`, say`check it with a bar in the chuck`, 0.6 + 20 * at.offset),
    ],
    grabs: [
      cause(
        'lips off',
        say`keen lips pull themselves in`,
        say`take the keenness off the lips with a stone`,
        at.material.id === 'brass' || at.material.id === 'bronze' ? 2 : 1,
      ),
      cause('break through gently', say`it breaks through thin stock`, say`feed gently at the end, quill held back`, 0.9),
      cause('clamp', say`the quill or the work is not held`, say`nip the quill; seat the work`, 0.7),
    ],
    parting: [
      cause('slower and steady feed', say`${spindleSpeed(at.speed)} is fast for a blade, and a timid feed rubs`, say`slower, feed steadily, oil`),
      dull,
      cause('on centre', say`the blade stands off centre height or out of square`, say`set it on centre and square to the axis`, 0.9),
      cause('closer', slender, say`closer to the jaws, or saw it off and face`, at.slender / 3),
    ],
    bellmouth: [
      cause(
        'spring of the bar',
        say`the bar springs ${length(at.spring, 0.001)} as it enters and leaves`,
        say`a stouter, shorter bar; like cuts`,
        0.8 + 20 * at.spring,
      ),
      dull,
      cause('clearance under the edge', say`the heel of the tool rubs in the bore`, say`more clearance under the edge, a smaller bar`, 0.7),
    ],
    tight: [
      cause('crest', say`its crests are burred or full`, say`a fine file over the crests, spindle slow, then a brush`),
      cause('flank', say`a flank was not taken to depth`, say`two more spring passes, then measure by wires or nut`, 0.9),
      cause('form', say`tool out of square or the wrong angle`, say`set it by a gauge against the work`, 0.8),
      cause('pitch', say`the pitch is not that of its mate`, say`count it over 25 mm or an inch with a pitch gauge`, 0.5),
    ],
    drifts: [
      cause('cool', say`the work is warm and reads over`, say`cool it, or correct the reading`),
      cause('backlash', say`the setting was come to from the other side`, say`always from the same side`, 0.9),
      cause('fresh edge', say`the edge wears`, say`hone or index it`, 0.8 + 4 * at.worn),
    ],
  };
  return listed[symptom].toSorted((a, b) => b.weight - a.weight);
}
