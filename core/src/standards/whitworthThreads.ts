import { MM_PER_INCH, readNumber, say, tidy } from '../quantity';
import { type Basic, type Bounds, dustless, FREE, type ReadThread, type Thread } from './thread';
import { bsfSizes, bswSizes, modelEngineerSizes, pipeSizes } from './whitworth.table';

const NOT_HERE = say`tolerances of this thread are not in this table; the basic form is shown`;
const round = (value: number, digits: number) => Math.round(value * 10 ** digits + 1e-7) / 10 ** digits;

/** Reads '1/4-20 BSW', '1/2 BSF', '1/4 ME 40', 'G 1/2', 'G 1/2 A', '2 BA'. Undefined when the text is none of these. */
export function readBritish(text: string, leftHand: boolean): ReadThread | undefined {
  const ba = /^(?:BA\s*)?(\d{1,2})\s*(?:BA)?$/i.exec(text);
  if (ba?.[1] !== undefined && /BA/i.test(text)) return baThread(Number(ba[1]), leftHand);
  const pipe = /^G\s*(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)\s*-?\s*([AB])?$/i.exec(text);
  if (pipe?.[1] !== undefined) return pipeThread(pipe[1].replace('-', ' '), pipe[2]?.toUpperCase(), leftHand);
  const inch = /^(\d+(?:[ -]\d+\/\d+)?|\d+\/\d+)\s*(?:-\s*([\d.]+)\s*)?(?:x\s*([\d.]+)\s*)?(BSW|BSF|ME)$/i.exec(text);
  if (inch?.[1] === undefined || inch[4] === undefined) return undefined;
  return inchThread(inch[1].replace('-', ' '), inch[2] ?? inch[3], inch[4].toUpperCase(), leftHand);
}

/**
 * Basic form of a British Standard Whitworth or Fine thread, or of a model engineers' one; inches in, mm out.
 * @source BS 84: h = 0.6403274 P rounded to 0.0001 in first, effective = D - h, minor = D - 2 h; from memory
 */
function inchThread(size: string, typedTpi: string | undefined, series: string, leftHand: boolean): ReadThread {
  const table: readonly (readonly [string, number])[] =
    series === 'BSW'
      ? bswSizes
      : series === 'BSF'
        ? bsfSizes
        : Object.entries(modelEngineerSizes).flatMap(([tpi, sizes]) => sizes.map((s) => [s, Number(tpi)] as const));
  const listed = table.filter(([name]) => name === size);
  const tpi = typedTpi === undefined ? listed[0]?.[1] : Number(typedTpi);
  if (tpi === undefined || !listed.some(([, n]) => n === tpi)) {
    const nearest = (listed.length > 0 ? listed : table.slice(0, 3)).map(([name, n]) => `${name}-${String(n)} ${series}`);
    return {
      ok: false,
      says:
        listed.length > 0
          ? say`${size} ${series} has ${listed.map(([, n]) => String(n)).join(' or ')} to the inch`
          : say`${size} is not in this table of ${series}`,
      nearest,
    };
  }
  const d = readNumber(size)?.value ?? 0;
  const h = round(0.6403274 / tpi, 4);
  const mm = (inch: number) => dustless(inch * MM_PER_INCH);
  return basicOnly('whitworth', `${size}-${String(tpi)} ${series}`, mm(d), MM_PER_INCH / tpi, leftHand, {
    major: mm(d),
    pitchDiameter: mm(tidy(d - h)),
    minor: mm(tidy(d - 2 * h)),
  });
}

/**
 * Basic form of a BA thread, 0 to 25; mm. Depth and what follows from it to number 16.
 * @source BS 93: p = 0.9^n to two figures, D = 6 p^1.2 with the unrounded p to two figures, depth 0.6 p to 0.005 mm; from memory
 */
function baThread(number: number, leftHand: boolean): ReadThread {
  if (number > 25) return { ok: false, says: say`BA goes from 0 to 25; there is no ${number} BA`, nearest: ['0 BA', '2 BA'] };
  const exact = 0.9 ** number;
  const p = Number(exact.toPrecision(2));
  const d = Number((6 * exact ** 1.2).toPrecision(2));
  const h = Math.round((0.6 * p) / 0.005 + 1e-9) * 0.005;
  const known = number <= 16;
  return basicOnly('ba', `${String(number)} BA`, d, p, leftHand, {
    major: d,
    pitchDiameter: known ? tidy(d - h) : null,
    minor: known ? tidy(d - 2 * h) : null,
  });
}

function basicOnly(family: Thread['family'], designation: string, nominal: number, pitch: number, leftHand: boolean, basic: Basic): ReadThread {
  const thread: Thread = {
    family,
    designation: designation + (leftHand ? ' LH' : ''),
    nominal,
    pitch,
    leftHand,
    internal: false,
    basic,
    major: FREE,
    pitchDiameter: FREE,
    minor: FREE,
    remark: NOT_HERE,
  };
  return { ok: true, thread };
}

/**
 * Limits of a parallel pipe thread, mm: 'G 1/2' inside, 'G 1/2 A' and 'G 1/2 B' outside.
 * @source ISO 228-1: P and h = 0.640327 P to 0.001 mm, then diameters; tolerances from its table; from memory
 */
function pipeThread(size: string, grade: string | undefined, leftHand: boolean): ReadThread {
  const row = pipeSizes.find(([name]) => name === size);
  if (!row) return { ok: false, says: say`G ${size} is not in this table`, nearest: ['G 1/2', 'G 1/2 A'] };
  const [name, tpi, major, td2, td, td1] = row;
  const pitch = round(MM_PER_INCH / tpi, 3);
  const h = round(0.640327 * pitch, 3);
  const basic: Basic = { major, pitchDiameter: tidy(major - h), minor: tidy(major - 2 * h) };
  const below = (max: number, um: number): Bounds => ({ max, min: tidy(max - um / 1000) });
  const above = (min: number, um: number): Bounds => ({ min, max: tidy(min + um / 1000) });
  const e = basic.pitchDiameter ?? 0;
  const limits =
    grade === undefined
      ? { major: { max: null, min: major }, pitchDiameter: above(e, td2), minor: above(basic.minor ?? 0, td1) }
      : { major: below(major, td), pitchDiameter: below(e, grade === 'A' ? td2 : 2 * td2), minor: FREE };
  return {
    ok: true,
    thread: {
      family: 'pipe',
      designation: `G ${name}${grade === undefined ? '' : ` ${grade}`}${leftHand ? ' LH' : ''}`,
      nominal: major,
      pitch,
      leftHand,
      internal: grade === undefined,
      basic,
      ...limits,
    },
  };
}
