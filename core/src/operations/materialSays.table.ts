import type { Material } from '../standards';
import type { Verb } from './verbs.table';

interface Saying {
  /** ids in the material table, or an ISO 513 group of it */
  readonly of: readonly string[] | Material['group'];
  readonly at: readonly Verb[];
  readonly says: string;
}

const turning: readonly Verb[] = ['face', 'rough-turn', 'bore'];
const drilling: readonly Verb[] = ['pilot', 'drill'];
const threading: readonly Verb[] = ['thread', 'die', 'tap'];
const held: readonly Verb[] = ['load', 'turn-round'];

/** What a material wants, at the step that it concerns. @source common practice, rules of the trade under What the material says */
const sayings: readonly Saying[] = [
  { of: 'O', at: turning, says: 'a keen and polished edge, air or water: it melts before it burns; long strings wind about the work' },
  { of: 'O', at: drilling, says: 'short pecks, each cleared and cooled with air or water, or it melts on the drill' },
  { of: 'O', at: ['ream'], says: 'keen and slow: reamed plastics close in a little; measured cold' },
  { of: 'O', at: ['finish-turn', 'bore', 'ream'], says: 'measured cold: it grows about eight times as much as steel' },
  { of: 'O', at: held, says: 'held lightly, all round: it gives under the jaws, and comes back out of round' },
  { of: ['nylon'], at: ['finish-turn', 'bore'], says: 'it takes up water and grows: dry it or allow for it' },
  { of: ['acetal'], at: ['rough-turn'], says: 'its swarf burns with a flame one hardly sees: no heap of it near anything hot' },
  { of: ['acrylic'], at: drilling, says: 'lips blunted: a keen drill shatters it where it breaks through' },
  { of: ['brass'], at: ['rough-turn', 'face'], says: 'dry, a flat-topped edge; the swarf flies as needles: glasses' },
  { of: ['bronze'], at: drilling, says: 'leaded bronze grabs a keen drill: its lips eased' },
  { of: ['bronze'], at: ['ream'], says: 'it closes on a dull reamer: keen, with coolant' },
  { of: ['aluminium-bronze'], at: turning, says: 'tough and abrasive: a keen carbide edge, coolant; it dulls high-speed steel' },
  { of: ['aluminium-bronze'], at: [...drilling, 'ream'], says: 'it binds behind drills and reamers: clearance, coolant, and out often' },
  { of: ['aluminium', 'aluminium-7075'], at: turning, says: 'keen and polished, paraffin or spray: it welds itself to a dull edge under 60 m/min' },
  { of: ['aluminium', 'aluminium-7075'], at: [...drilling, 'ream'], says: 'it binds and packs the flutes: paraffin or coolant, out often' },
  { of: ['aluminium', 'aluminium-7075'], at: ['ream', 'bore'], says: 'it moves twice as much as steel with heat: cooled before a close bore is measured' },
  { of: 'M', at: turning, says: 'never dwell or rub: it hardens where it is rubbed; feed over 0.08 mm and depth below the last skin' },
  { of: 'M', at: drilling, says: 'steady feed, never let it rub: it hardens under a drill that dwells' },
  { of: 'M', at: threading, says: 'sharp taps, dies and tools, and grease: its threads gall' },
  { of: ['silver-steel', 'alloy-steel'], at: ['tap', 'die'], says: 'tough: slowly, with oil, backed often to break the chip' },
  { of: 'K', at: turning, says: 'dry, under the skin with the first cut; its dust wears the ways: cover the bed' },
  { of: 'S', at: [...turning, ...drilling], says: 'slow, a real feed, plenty of coolant; its chips burn: no heap of them, dry sand at hand, never water' },
];

const concerns = ({ of }: Saying, { id, group }: Material): boolean => (typeof of === 'string' ? of === group : of.includes(id));

const known = new Map<string, readonly string[]>();

/** What this material wants at a step of that kind. */
export function materialSays(material: Material, verb: Verb): readonly string[] {
  const key = `${material.id} ${verb}`;
  const before = known.get(key);
  if (before) return before;
  const said = sayings.filter((s) => s.at.includes(verb) && concerns(s, material)).map((s) => s.says);
  known.set(key, said);
  return said;
}
