import type { Holding, Tool } from '../document';
import { alike, length, MM_PER_INCH, nearestFraction, type Parsed, parseLength, say, type Sentence, tidy, type Units } from '../quantity';
import { drillIndex, flutesOf, unifiedSizes } from '../standards';
import { angled, cells, drills, ofSize } from './build';

/** A set of more is not typed on purpose. */
const MOST = 400;
/** First choice of metric threads, M. @source ISO 261, from memory */
const FIRST_CHOICE = [1, 1.2, 1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 36, 42, 48, 56, 64];
/** What an inch size may be off a 64th by and still be one, in. */
const SIXTY_FOURTH = 1e-6;

type Filled = Parsed<readonly Omit<Tool, 'id'>[]>;
const fail = (says: Sentence): Filled => ({ ok: false, problems: [{ at: 'fill', says }] });
const asked = say`such as: drills 1 to 10 by 0.1; number drills; letter drills; fraction drills; taps M3-M12; dies UNC #4 to 1/2; reamers 3 to 12 by 1; countersinks 60 82 90`;

/** The sizes from one to another by steps, as they are typed: 1 to 10 by 0.1; 1/16 to 1/2 by 1/64. */
function steps(text: string, units: Units): Parsed<readonly { readonly text: string; readonly units: Units; readonly mm: number }[]> {
  const at = (says: Sentence) => ({ ok: false as const, problems: [{ at: 'fill', says }] });
  const [, low, high, by] = /^(.+?)\s*(?:to|\.\.|–|-(?=\s*\d))\s*(.+?)\s+(?:by|in steps of)\s+(.+)$/i.exec(text) ?? [];
  if (low === undefined || high === undefined || by === undefined) return at(say`from, to and step are wanted: 1 to 10 by 0.1`);
  // a unit typed once is that of all three
  const own = /\bmm\b/i.test(text) ? 'mm' : /\bin\b|["”]|\//i.test(text) ? 'in' : units;
  const [from, to, step] = [low, high, by].map((t) => parseLength(t, own));
  if (!from?.ok) return at(from?.problems[0]?.says ?? asked);
  if (!to?.ok) return at(to?.problems[0]?.says ?? asked);
  if (!step?.ok) return at(step?.problems[0]?.says ?? asked);
  const count = Math.floor((to.value - from.value) / step.value + 1e-6) + 1;
  if (!(count >= 1)) return at(say`the last is smaller than the first`);
  if (count > MOST) return at(say`${count} sizes are more than a set has, ${MOST}`);
  const inSixtyFourths = own === 'in' && [low, high, by].some((t) => t.includes('/'));
  return {
    ok: true,
    value: Array.from({ length: count }, (_, i) => {
      const mm = from.value + i * step.value;
      // as it is stamped: 13/64, 1-1/4
      const stamped = inSixtyFourths ? nearestFraction(mm / MM_PER_INCH, SIXTY_FOURTH)?.replace(' ', '-') : undefined;
      return { text: stamped ?? String(tidy(own === 'in' ? mm / MM_PER_INCH : mm)), units: own, mm };
    }),
  };
}

const drillOf = (text: string, units: Units, mm: number, name: string): Omit<Tool, 'id'> => {
  const [made] = drills(cells(units), [text], () => '');
  const reach = { text: String(flutesOf(mm)), units: 'mm' as const };
  return { ...made, kind: 'drill', grade: 'hss', hand: 'right', name, reach, assumed: ['reach'] };
};

/** The sizes of a thread series from one to another: M3 to M12 of the first choice, #4 to 1/2 of UNC or UNF. */
function threads(text: string): Parsed<readonly string[]> {
  const at = (says: Sentence) => ({ ok: false as const, problems: [{ at: 'fill', says }] });
  const metric = /^M\s*([\d.]+)\s*(?:to|-|–|\.\.)\s*M?\s*([\d.]+)$/i.exec(text);
  if (metric) {
    const [low, high] = [Number(metric[1]), Number(metric[2])];
    const sizes = FIRST_CHOICE.filter((d) => d >= low && d <= high).map((d) => `M${String(d)}`);
    return sizes.length > 0 ? { ok: true, value: sizes } : at(say`no thread of the first choice lies between M${low} and M${high}`);
  }
  const unified = /^(UNC|UNF)\s+#?(\S+)\s*(?:to|\.\.|–)\s*#?(\S+)$/i.exec(text);
  if (!unified) return at(say`a series is wanted: M3 to M12, UNC #4 to 1/2, UNF 1/4 to 1/2`);
  const [, series = '', low = '', high = ''] = unified;
  const column = series.toUpperCase() === 'UNC' ? 2 : 3;
  const place = (size: string) => unifiedSizes.findIndex(([name]) => name === size.replace('-', ' '));
  const [from, to] = [place(low), place(high)];
  if (from < 0 || to < from) return at(say`${from < 0 ? low : high} is no size of ${series.toUpperCase()} after the first`);
  return {
    ok: true,
    value: unifiedSizes.slice(from, to + 1).flatMap((row) => (row[column] === null ? [] : [`${row[0].replace(' ', '-')}-${String(row[column])}`])),
  };
}

/**
 * A set of tools from one line: drills by steps or by the number and letter tables, reamers by steps, taps and dies of a thread series. Sizes that the
 * drawer has already are left out; the reach of a drill is assumed until it is measured.
 * @param text 'drills 1 to 10 by 0.1', 'number drills', 'taps M3-M12'
 * @example fillTools('number drills', 'in', []).ok // true
 */
export function fillTools(text: string, units: Units, owned: readonly Pick<Tool, 'kind' | 'size' | 'angle'>[]): Filled {
  const line = text.trim().replace(/^(?:a\s+)?set\s+of\s+/i, '');
  const has = (kind: Tool['kind'], size: string, mm: number | undefined) =>
    owned.some((t) => {
      if (t.kind !== kind || !t.size) return false;
      const read = parseLength(t.size.text, t.size.units);
      return mm !== undefined && read.ok ? alike(read.value, mm) : t.size.text.trim().toLowerCase() === size.toLowerCase();
    });
  const cones = /^countersinks?\s+([\d.,\s]+(?:°|deg(?:rees)?)?)$/i.exec(line)?.[1];
  if (cones !== undefined) return countersinks(cones, units, owned);
  if (/^fraction(?:al)?\s+drills$/i.test(line)) return fillTools('drills 1/16 to 1/2 by 1/64', 'in', owned);
  const named = /^(number|letter)\s+drills$/i.exec(line)?.[1]?.toLowerCase();
  if (named === 'number' || named === 'letter')
    return {
      ok: true,
      value: drillIndex(named)
        .filter((d) => !has('drill', d.name, d.diameter))
        .map((d) => drillOf(d.name, 'in', d.diameter, `drill ${d.name}`)),
    };
  const [, kind = '', rest = ''] = /^(drills?|reamers?|taps?|dies?)\s+(.+)$/i.exec(line) ?? [];
  const word = kind.toLowerCase().replace(/s$/, '');
  if (word === 'drill' || word === 'reamer') {
    const sizes = steps(rest, units);
    if (!sizes.ok) return fail(sizes.problems[0]?.says ?? asked);
    const as = word === 'drill' ? 'drill' : 'ream';
    return {
      ok: true,
      value: sizes.value
        .filter((s) => !has(as, s.text, s.mm))
        .flatMap((s): readonly Omit<Tool, 'id'>[] =>
          as === 'drill' ? [drillOf(s.text, s.units, s.mm, `drill ${s.text}`)] : ofSize(cells(s.units), 'ream', 'reamer', [s.text]),
        ),
    };
  }
  if (word === 'tap' || word === 'die') {
    const sizes = threads(rest);
    if (!sizes.ok) return fail(sizes.problems[0]?.says ?? asked);
    return {
      ok: true,
      value: ofSize(
        cells(units),
        word,
        word,
        sizes.value.filter((s) => !has(word, s, undefined)),
      ),
    };
  }
  return fail(say`“${line.slice(0, 60)}” is no set; ${asked}`);
}

/** Countersinks by the angle of their cone, degrees; how wide they are is assumed until it is measured. */
function countersinks(text: string, units: Units, owned: readonly Pick<Tool, 'kind' | 'size' | 'angle'>[]): Filled {
  const angles = (text.match(/\d+(?:[.,]\d+)?/g) ?? []).map((t) => Number(t.replace(',', '.')));
  const wrong = angles.find((a) => !(a > 60 - 1e-9 && a <= 150));
  if (angles.length === 0 || wrong !== undefined) return fail(say`a countersink has 60 to 150 degrees, such as 60 82 90 100`);
  const has = (a: number) => owned.some((t) => t.kind === 'form' && Number(t.angle?.text.replace(/\s*(°|deg.*)$/, '')) === a);
  const wide = units === 'in' ? '3/4' : '20';
  return {
    ok: true,
    value: [...new Set(angles)]
      .filter((a) => !has(a))
      .map((a): Omit<Tool, 'id'> => ({
        name: `countersink ${String(a)}°`,
        kind: 'form',
        grade: 'hss',
        hand: 'neutral',
        angle: angled(a),
        width: cells(units)(wide),
        assumed: ['width'],
      })),
  };
}

/** Collets by the name of their seat: least and most that they hold round, mm. @source DIN 6499 (ISO 15488) for ER; 5C from memory: 1/16 to 1 1/8 in */
const SEATS: Readonly<Record<string, readonly [number, number, Units]>> = {
  '5c': [MM_PER_INCH / 16, 1.125 * MM_PER_INCH, 'in'],
  er16: [1, 10, 'mm'],
  er20: [1, 13, 'mm'],
  er25: [1, 16, 'mm'],
  er32: [2, 20, 'mm'],
  er40: [3, 26, 'mm'],
};
const colletsAsked = say`such as: 5C collets by 1/16; ER32 collets by 1; collets 1/8 to 3/4 by 1/16`;

/**
 * A set of collets from one line; how true, fast and stiff they are is assumed until it is said.
 * @param text '5C collets by 1/16', 'ER32 collets by 1', 'collets 3 to 20 by 1'
 * @example fillHoldings('5C collets by 1/16', 'in', []).ok // true
 */
export function fillHoldings(text: string, units: Units, owned: readonly Pick<Holding, 'kind' | 'name'>[]): Parsed<readonly Omit<Holding, 'id'>[]> {
  const wrong = (says: Sentence) => ({ ok: false as const, problems: [{ at: 'fill', says }] });
  const line = text.trim().replace(/^(?:a\s+)?set\s+of\s+/i, '');
  const [, seatText = '', rest = ''] = /^(?:(5C|ER\s*\d\d)\s+)?collets?\s+(.+)$/i.exec(line) ?? [];
  if (rest === '') return wrong(say`“${line.slice(0, 60)}” is no set of collets; ${colletsAsked}`);
  const seat = seatText.toLowerCase().replace(/\s/g, '');
  const known = SEATS[seat];
  if (seat !== '' && !known) return wrong(say`${seatText} is no collet that is known here; ${colletsAsked}`);
  const step = /^(?:by|in steps of)\s+(.+)$/i.exec(rest)?.[1];
  if (step !== undefined && !known) return wrong(say`from, to and step are wanted; ${colletsAsked}`);
  const [from, to, own] = known ?? [0, 0, units];
  const shown = (mm: number) => (own === 'in' ? (nearestFraction(mm / MM_PER_INCH, SIXTY_FOURTH) ?? String(mm / MM_PER_INCH)) : String(mm));
  const sizes = steps(step === undefined ? rest : `${shown(from)} to ${shown(to)} by ${step}`, step === undefined ? units : own);
  if (!sizes.ok) return sizes;
  const list = sizes.value;
  const [first, last] = [list[0], list.at(-1)];
  if (!first || !last) return wrong(colletsAsked);
  if (known && (first.mm < from - 1e-6 || last.mm > to + 1e-6)) return wrong(say`${seatText} collets hold ${length(from)} to ${length(to)}`);
  const name = `${seatText === '' ? '' : `${seatText.toUpperCase()} `}collets ${first.text} to ${last.text}`;
  if (owned.some((h) => h.kind === 'collet' && h.name === name)) return { ok: true, value: [] };
  const cell = ({ text: t, units: u }: { readonly text: string; readonly units: Units }) => ({ text: t, units: u });
  return {
    ok: true,
    value: [
      {
        name,
        kind: 'collet',
        assumed: ['jaw', 'maxSpeed', 'newtons', 'trueWithin', 'lateral', 'angular'],
        sizes: list.map(cell),
        outside: { from: cell(first), to: cell(last) },
        jaw: { count: 3, length: { text: '30', units: 'mm' }, reach: { text: '30', units: 'mm' } },
        maxSpeed: 3000,
        newtons: 10000,
        trueWithin: { text: '0.02', units: 'mm' },
        marks: false,
        lateral: 30000,
        angular: 2e7,
      },
    ],
  };
}
