import { randomFrom } from '../lathe';
import { length, say, type Sentence } from '../quantity';
import { pinsProve } from '../standards';

/** Something that is set one way or another before it is tried. */
export interface Choice {
  readonly key: string;
  readonly asks: string;
  readonly choices: readonly { readonly value: string; readonly words: string }[];
}

/** An exercise of choosing: what is set, and what comes of it. */
export interface Choosing {
  readonly id: string;
  readonly title: string;
  readonly asks: (number: number) => Sentence;
  readonly about: Sentence;
  readonly sets: (number: number) => readonly Choice[];
  readonly comes: (number: number, set: Readonly<Record<string, string>>) => { readonly good: boolean; readonly says: readonly Sentence[] };
}

const pick = (key: string, asks: string, ...choices: readonly (readonly [string, string])[]): Choice => ({
  key,
  asks,
  choices: choices.map(([value, words]) => ({ value, words })),
});

/** The hole and the pins of a number: nominal sizes a hundredth apart, minus class. */
function pinsOf(number: number): { readonly goes: number; readonly stops: number } {
  const random = randomFrom(number * 69621 + 5);
  const goes = Math.round((8 + 8 * random.even()) * 100) / 100;
  return { goes, stops: Math.round((goes + 0.01 * (1 + Math.floor(3 * random.even()))) * 100) / 100 };
}

/** From what is set to what comes of it; every reason is common practice. */
export const choosings: readonly Choosing[] = [
  {
    id: 'parting',
    title: 'Parting without a grab',
    asks: () => say`A steel bar of 30 is to be parted off, 3 mm blade. Set everything before the spindle turns; then try it.`,
    about: say`A grab comes of a blade that can dive: too high or low, far out, fed timidly, on a slide that can move. Near the jaws, at centre height, locked, slow, with steady feed it parts.`,
    sets: () => [
      pick('place', 'the cut, from the jaws', ['near', '8 mm'], ['far', '45 mm']),
      pick('out', 'blade out of its holder', ['long', '40 mm'], ['just', '18 mm']),
      pick('height', 'height of the edge', ['above', '0.5 above centre'], ['centre', 'at centre'], ['below', '1 below centre']),
      pick('carriage', 'carriage', ['free', 'free'], ['locked', 'locked']),
      pick('speed', 'speed', ['fast', 'as for turning, 1000 rpm'], ['half', 'half of that and less, 400 rpm']),
      pick('feed', 'feed', ['timid', 'a little, then a pause'], ['steady', 'steady, 0.05 mm/rev'], ['hard', 'hard, 0.2 mm/rev']),
      pick('coolant', 'coolant', ['dry', 'dry'], ['flood', 'into the slot']),
    ],
    comes: (_, set) => {
      const wrong: Sentence[] = [
        ...(set['place'] === 'far' ? [say`so far from the jaws the bar bends away and climbs on the blade`] : []),
        ...(set['out'] === 'long' ? [say`the blade stands out twice as far as it must: it sings and dives`] : []),
        ...(set['height'] === 'above' ? [say`above centre the edge rubs under its tip and a pip is left that breaks it`] : []),
        ...(set['height'] === 'below' ? [say`below centre the work climbs on it`] : []),
        ...(set['carriage'] === 'free' ? [say`the carriage creeps, and the slot closes on the blade`] : []),
        ...(set['speed'] === 'fast' ? [say`at turning speed it chatters as the slot grows deep`] : []),
        ...(set['feed'] === 'timid' ? [say`with pauses the edge rubs, the slot work-hardens, and then it bites`] : []),
        ...(set['feed'] === 'hard' ? [say`so much feed jams the chip in its slot`] : []),
        ...(set['coolant'] === 'dry' ? [say`dry, the chips weld in the slot`] : []),
      ];
      return wrong.length === 0
        ? { good: true, says: [say`It parts: even curls, a steady hiss, and the piece falls with hardly a pip.`] }
        : { good: false, says: wrong };
    },
  },
  {
    id: 'chatter',
    title: 'A chatter to be cured',
    asks: () =>
      say`Finish-turning a stainless bar of 16, 120 out of the chuck, it sings and leaves a pattern. Change one thing at a time and try it.`,
    about: say`Chatter is the work and the tool answering each other. Hold it stiffer, stand the tool shorter, slow the spindle, feed more, take a smaller nose; polishing it away after is the dearest cure.`,
    sets: () => [
      pick('support', 'the far end', ['none', 'free, 7.5 diameters out'], ['centre', 'on a live centre']),
      pick('nose', 'nose of the tool', ['0.8', '0.8 mm'], ['0.4', '0.4 mm'], ['0.2', '0.2 mm']),
      pick('speed', 'speed', ['1000', '1000 rpm'], ['500', '500 rpm']),
      pick('feed', 'feed', ['0.04', '0.04 mm/rev'], ['0.1', '0.10 mm/rev']),
      pick('overhang', 'tool out of its post', ['60', '60 mm'], ['25', '25 mm']),
    ],
    comes: (_, set) => {
      // what each takes off the trouble; under the line it is quiet
      const trouble =
        (set['support'] === 'centre' ? 0 : 5) +
        (set['nose'] === '0.8' ? 3 : set['nose'] === '0.4' ? 1 : 0) +
        (set['speed'] === '1000' ? 2 : 0) +
        (set['feed'] === '0.04' ? 2 : 0) +
        (set['overhang'] === '60' ? 2 : 0);
      if (trouble <= 2) return { good: true, says: [say`It cuts quietly and the surface is even.`] };
      const worst =
        set['support'] === 'none'
          ? say`the bar itself swings: nothing helps so much as holding its end`
          : set['nose'] === '0.8'
            ? say`so round a nose presses the bar aside`
            : set['overhang'] === '60'
              ? say`the tool nods in its post`
              : set['feed'] === '0.04'
                ? say`so thin a chip rubs and lets go`
                : say`slower, the waves die out`;
      return { good: false, says: [trouble > 7 ? say`It howls.` : say`It still sings.`, worst] };
    },
  },
  {
    id: 'pins',
    title: 'What does this pin prove?',
    asks: (number) => {
      const { goes, stops } = pinsOf(number);
      return say`Of a set of minus class ZZ pins the one marked ${length(goes, 0.01)} goes into a hole, and ${length(stops, 0.01)} does not. Within what is the hole?`;
    },
    about: say`A minus pin may be smaller than it is marked, by its class, 0.005 for ZZ. That it goes proves the least that it may be; that the next does not go proves that the hole is smaller than the most that one may be. And a pin finds the smallest place only.`,
    sets: (number) => {
      const { goes, stops } = pinsOf(number);
      const written = (mm: number) => mm.toFixed(3);
      return [
        pick(
          'least',
          'at least',
          [written(goes - 0.005), written(goes - 0.005)],
          [written(goes), written(goes)],
          [written(goes + 0.005), written(goes + 0.005)],
        ),
        pick(
          'most',
          'at most',
          [written(stops - 0.005), written(stops - 0.005)],
          [written(stops), written(stops)],
          [written(stops + 0.005), written(stops + 0.005)],
        ),
        pick('where', 'of the hole', ['mean', 'its mean size'], ['smallest', 'its smallest place']),
      ];
    },
    comes: (number, set) => {
      const { goes, stops } = pinsOf(number);
      const { least, most } = pinsProve(goes, stops, 'minus', 'ZZ');
      const wrong: Sentence[] = [
        ...(set['least'] === least.toFixed(3) ? [] : [say`the pin that goes may be as small as ${length(least, 0.001)}: no more is proved`]),
        ...(set['most'] === most.toFixed(3) ? [] : [say`the pin that stops is at most ${length(most, 0.001)}: the hole is smaller than that`]),
        ...(set['where'] === 'smallest' ? [] : [say`a bell mouth or an oval hole lets a pin in no further than its smallest place`]),
      ];
      return wrong.length === 0 ? { good: true, says: [say`Right: that much and no more.`] } : { good: false, says: wrong };
    },
  },
];

/** What comes of an exercise of choosing as it is set; undefined while something is not set yet. */
export function tried(choosing: Choosing, number: number, set: Readonly<Record<string, string>>): ReturnType<Choosing['comes']> | undefined {
  const open = choosing.sets(number).some((c) => !c.choices.some((x) => x.value === set[c.key]));
  return open ? undefined : choosing.comes(number, set);
}
