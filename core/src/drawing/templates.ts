import { blankDrawing, type Cell, type Detail, type Drawing, type Section } from '../document';
import { type Parsed, say, tidy, type Units, writeExact } from '../quantity';
import { centreFor } from '../standards';
import { parseLengthCell, parseSize } from './parseSize';
import type { Size } from './types';

/** One question of a template: what it asks and what usually stands there, in each unit. */
export interface Question {
  readonly id: string;
  readonly asks: string;
  readonly is: 'size' | 'hole' | 'length';
  readonly mm: string;
  readonly in: string;
}

export interface Template {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly asks: readonly Question[];
  /** rows from its answers, all of them understood */
  readonly build: (answers: Answers) => Pick<Drawing, 'outside'> & Partial<Drawing>;
}

interface Answers {
  readonly cell: (id: string) => Cell;
  /** mm: across a size, or a length */
  readonly of: (id: string) => number;
  /** a computed length as a cell in the job's unit */
  readonly write: (mm: number) => Cell;
}

const size = (id: string, asks: string, mm: string, inch: string): Question => ({ id, asks, is: 'size', mm, in: inch });
const hole = (id: string, asks: string, mm: string, inch: string): Question => ({ id, asks, is: 'hole', mm, in: inch });
const long = (id: string, asks: string, mm: string, inch: string): Question => ({ id, asks, is: 'length', mm, in: inch });
const text = (words: string): Cell => ({ text: words, units: 'mm' });
const row = (id: string, own: Cell, length: Cell, more: Partial<Section> = {}): Section => ({ id, size: own, length, ...more });

/** Parts that are drawn from a few numbers; sizes ours, invented. */
export const templates: readonly Template[] = [
  {
    id: 'shaft',
    name: 'shaft',
    says: 'journals at both ends, a centre hole in each',
    asks: [
      size('end', 'journals', '20 h6', '.750 +0 -.0005'),
      long('journal', 'each journal long', '30', '1-1/4'),
      size('body', 'body', '25', '1'),
      long('length', 'body long', '120', '5'),
    ],
    build: ({ cell, of }) => {
      const centre = centreFor(of('end'));
      const at = (on: 'right' | 'left'): Detail => ({ id: `c-${on}`, kind: 'centre', on, at: text(''), size: text(`A ${String(centre.pilot)}`) });
      return {
        outside: [
          row('s1', cell('end'), cell('journal'), { near: text('1x45'), far: text('R0.4') }),
          row('s2', cell('body'), cell('length'), { near: text('0.5x45'), far: text('0.5x45') }),
          row('s3', cell('end'), cell('journal'), { near: text('R0.4'), far: text('1x45') }),
        ],
        details: [at('right'), at('left')],
      };
    },
  },
  {
    id: 'pin',
    name: 'pin with head',
    says: 'a shank, a lead-in and a head',
    asks: [
      size('shank', 'shank', '12 h8', '1/2 -.001'),
      long('length', 'under the head', '60', '2-1/2'),
      size('head', 'head', '18', '3/4'),
      long('thick', 'head thick', '5', '3/16'),
    ],
    build: ({ cell }) => ({
      outside: [
        row('s1', cell('shank'), cell('length'), { near: text('1x45') }),
        row('s2', cell('head'), cell('thick'), { near: text('0.4x45'), far: text('1x45') }),
      ],
    }),
  },
  {
    id: 'bush',
    name: 'bush',
    says: 'pressed outside, a running bore',
    asks: [
      size('outside', 'outside', '25 p6', '1 +.0015 +.001'),
      hole('bore', 'bore', '18 H7', '3/4 +.001 -0'),
      long('length', 'long', '30', '1-1/4'),
    ],
    build: ({ cell }) => ({
      outside: [row('s1', cell('outside'), cell('length'), { near: text('1.5x15'), far: text('0.5x45') })],
      boreRight: [row('h1', cell('bore'), text('through'), { near: text('0.5x45'), far: text('0.5x45') })],
    }),
  },
  {
    id: 'nut',
    name: 'nut',
    says: 'a hexagon left as bar, threaded through',
    asks: [size('across', 'hexagon', 'hex 19', 'hex 3/4'), hole('thread', 'thread', 'M12-6H', '1/2-13 UNC-2B'), long('thick', 'thick', '10', '7/16')],
    build: ({ cell }) => ({
      outside: [row('s1', cell('across'), cell('thick'), { near: text('1x30'), far: text('1x30') })],
      boreRight: [row('h1', cell('thread'), text('through'))],
    }),
  },
  {
    id: 'washer',
    name: 'washer',
    says: 'a flat ring',
    asks: [size('outside', 'outside', '30', '1-1/4'), hole('bore', 'hole', '13', '17/32'), long('thick', 'thick', '3', '1/8')],
    build: ({ cell }) => ({
      outside: [row('s1', cell('outside'), cell('thick'), { near: text('0.3x45'), far: text('0.3x45') })],
      boreRight: [row('h1', cell('bore'), text('through'))],
    }),
  },
  {
    id: 'screw',
    name: 'screw',
    says: 'thread, plain shank, round head with a slot',
    asks: [
      size('thread', 'thread', 'M8', '5/16-18'),
      long('threaded', 'threaded', '20', '3/4'),
      size('shank', 'shank', '8 h9', '5/16 -.002'),
      long('plain', 'plain', '15', '1/2'),
      size('head', 'head', '14', '9/16'),
      long('thick', 'head thick', '6', '1/4'),
    ],
    build: ({ cell, of, write }) => ({
      outside: [
        row('s1', cell('thread'), cell('threaded')),
        row('s2', cell('shank'), cell('plain')),
        row('s3', cell('head'), cell('thick'), { near: text('0.3x45'), far: text('0.5x45') }),
      ],
      details: [
        {
          id: 'd1',
          kind: 'slot',
          on: 'left',
          at: text(''),
          size: { text: `${write(of('head') / 7).text} x ${write(of('thick') / 2.5).text}`, units: write(1).units },
        },
      ],
    }),
  },
  {
    id: 'handle',
    name: 'handle',
    says: 'a spigot, a rising grip and a ball end',
    asks: [
      size('spigot', 'spigot', '8 h8', '5/16 -.001'),
      long('stem', 'spigot long', '15', '5/8'),
      size('neck', 'neck', '12', '1/2'),
      size('ball', 'ball', '24', '1'),
      long('grip', 'grip long', '50', '2'),
    ],
    build: ({ cell, of, write }) => {
      const [neck, ball] = [of('neck'), of('ball')];
      // the ball meets the neck: what of its diameter stands beyond
      const stands = ball / 2 + Math.sqrt(Math.max(0, ball ** 2 - neck ** 2)) / 2;
      return {
        outside: [
          row('s1', { text: `ball ${cell('ball').text}`, units: cell('ball').units }, write(stands)),
          row('s2', { text: `${write(neck).text} > ${write(neck * 1.25).text}`, units: write(1).units }, cell('grip')),
          row('s3', cell('spigot'), cell('stem'), { far: text('0.5x45') }),
        ],
      };
    },
  },
  {
    id: 'adaptor',
    name: 'threaded adaptor',
    says: 'a thread outside, a thread inside, a hexagon between',
    asks: [
      size('outside', 'outside thread', 'G 1/2 A', '1/2-14 UNS-2A'),
      long('threaded', 'its length', '15', '5/8'),
      size('across', 'hexagon', 'hex 27', 'hex 1-1/16'),
      long('body', 'body long', '20', '3/4'),
      hole('inside', 'inside thread', 'M12x1.5-6H', '3/8-16 UNC-2B'),
      long('deep', 'its depth', '18', '3/4'),
      hole('bore', 'bore through', '8', '5/16'),
    ],
    build: ({ cell }) => ({
      outside: [row('s1', cell('outside'), cell('threaded')), row('s2', cell('across'), cell('body'), { near: text('1x30'), far: text('1x30') })],
      boreLeft: [row('g1', cell('inside'), cell('deep'))],
      boreRight: [row('h1', cell('bore'), text('through'), { near: text('0.5x45') })],
    }),
  },
  {
    id: 'plug',
    name: 'plug',
    says: 'a gauge or stopper with a knurled grip',
    asks: [
      size('gauge', 'plug', '20 g6', '.750 -.0005 -.001'),
      long('length', 'long', '25', '1'),
      size('grip', 'grip', '16', '5/8'),
      long('handle', 'grip long', '40', '1-1/2'),
    ],
    build: ({ cell }) => ({
      outside: [
        row('s1', cell('gauge'), cell('length'), { near: text('1x45'), far: text('0.5x45') }),
        row('s2', cell('grip'), cell('handle'), { far: text('1x45') }),
      ],
      details: [{ id: 'd1', kind: 'knurl', on: 's2', at: text(''), size: text('diamond 1') }],
    }),
  },
  {
    id: 'ring',
    name: 'ring',
    says: 'a thin ring, square edges broken',
    asks: [size('outside', 'outside', '60 h7', '2.375 -.001'), hole('bore', 'bore', '50 H7', '2 +.001 -0'), long('thick', 'thick', '8', '5/16')],
    build: ({ cell }) => ({
      outside: [row('s1', cell('outside'), cell('thick'), { near: text('0.3x45'), far: text('0.3x45') })],
      boreRight: [row('h1', cell('bore'), text('through'), { near: text('0.3x45'), far: text('0.3x45') })],
    }),
  },
  {
    id: 'tapered-plug',
    name: 'tapered plug',
    says: 'a taper with a grip behind it',
    asks: [
      size('taper', 'taper, narrow end first', '16 < 1:10', '5/8 < 1:12'),
      long('length', 'taper long', '50', '2'),
      size('grip', 'grip', '28', '1-1/8'),
      long('handle', 'grip long', '25', '1'),
    ],
    build: ({ cell }) => ({
      outside: [
        row('s1', cell('taper'), cell('length'), { near: text('0.5x45') }),
        row('s2', cell('grip'), cell('handle'), { near: text('0.5x45'), far: text('1x45') }),
      ],
    }),
  },
];

/** A template with its answers as a drawing; an answer that is not understood is named. @param units what a bare number means */
export function fromTemplate(template: Template, answers: Readonly<Record<string, string>>, units: Units): Parsed<Drawing> {
  const problems: { at: string; says: ReturnType<typeof say> }[] = [];
  const numbers = new Map<string, number>();
  const typed = (q: Question) => {
    const own = answers[q.id]?.trim() ?? '';
    return own === '' ? q[units] : own;
  };
  for (const q of template.asks) {
    if (q.is === 'length') {
      const read = parseLengthCell(typed(q), units);
      if (read.ok) numbers.set(q.id, read.value.nominal);
      else problems.push({ at: q.id, says: read.problems[0]?.says ?? say`${q.asks} is not understood` });
      continue;
    }
    const read = parseSize(typed(q), units, q.is === 'hole' ? 'inside' : 'outside');
    if (read.kind === 'unknown') problems.push({ at: q.id, says: read.says });
    else numbers.set(q.id, acrossOf(read));
  }
  if (problems.length > 0) return { ok: false, problems };
  const made = template.build({
    cell: (id) => ({ text: template.asks.filter((q) => q.id === id).map(typed)[0] ?? '', units }),
    of: (id) => numbers.get(id) ?? 0,
    write: (mm) => ({ text: writeExact(units === 'in' ? Math.round((mm / 25.4) * 1000) * 0.0254 : Math.round(mm * 100) / 100, units), units }),
  });
  return { ok: true, value: { ...blankDrawing(), ...made } };
}

function acrossOf(read: Size): number {
  if (read.kind === 'diameter' || read.kind === 'ball') return read.limits.nominal;
  if (read.kind === 'polygon' || read.kind === 'bar') return read.across.nominal;
  if (read.kind === 'taper' || read.kind === 'arc') return tidy(read.near?.nominal ?? 0);
  return 0;
}
