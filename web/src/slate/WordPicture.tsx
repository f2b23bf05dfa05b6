/** Small pictures, 48 by 32: what is steel is filled, what is drawn is a line, what is cut or meant is brass. */
interface Drawn {
  readonly steel?: string;
  readonly line?: string;
  readonly brass?: string;
}

// prettier-ignore
const pictures: Readonly<Record<string, Drawn>> = {
  lathe: { steel: 'M2 22h44v4H2zM4 8h10v14H4zM36 12h8v10h-8z', line: 'M14 14h6M36 15h-6M22 22v-5h6v5' },
  slide: { steel: 'M4 22h40v4H4zM14 16h20v6H14z', line: 'M34 19h8M24 12v4M20 12h8', brass: 'M6 6h12l-3-3m3 3l-3 3' },
  dial: { steel: 'M24 4a12 12 0 1 0 .1 0z', line: 'M24 4v5M33 8l-3 4M36 16h-5M15 8l3 4M12 16h5', brass: 'M23 1h2v5h-2z' },
  gears: { steel: 'M16 8a8 8 0 1 0 .1 0zM34 13a6 6 0 1 0 .1 0z', line: 'M16 5v4M16 23v4M5 16h4M23 16h5M34 10v3M34 24v4M41 19h-2' },
  screw: { steel: 'M4 13h40v6H4z', line: 'M8 12l3 8M14 12l3 8M20 12l3 8M26 12l3 8M32 12l3 8M38 12l3 8' },
  spindle: { steel: 'M4 8h14v16H4zM18 11h14v10H18z', line: 'M0 16h48' },
  chuck: { steel: 'M6 5h12v22H6zM18 7h8v4h-8zM18 21h8v4h-8z', line: 'M18 12h26v8H18zM2 16h44' },
  centre: { steel: 'M4 11h22v10H4zM44 10v12h-8l-10-6 10-6z', line: 'M0 16h48' },
  steady: { steel: 'M4 13h40v6H4z', line: 'M24 3v10M14 27l8-8M34 27l-8-8M24 3a13 13 0 1 0 .1 0' },
  plate: { steel: 'M10 3h6v26h-6z', line: 'M16 8h14v16H16zM2 16h44', brass: 'M18 5h4v3h-4z' },
  bar: { steel: 'M4 10h40v12H4z', line: 'M0 16h48' },
  turn: { steel: 'M4 8h18v16H4zM22 11h22v10H22z', line: 'M22 21l6 9h4', brass: 'M22 8h10v3H22z' },
  face: { steel: 'M4 8h34v16H4z', brass: 'M38 8h2v16h-2z', line: 'M44 28l-4-8M44 16v8' },
  groove: { steel: 'M4 9h14v14H4zM18 12h8v8h-8zM26 9h18v14H26z', brass: 'M19 24h6v7h-6z' },
  part: { steel: 'M4 9h18v14H4zM26 9h16v14H26z', brass: 'M22.500 18h3v14h-3z' },
  drill: { steel: 'M4 6h24v20H4z', line: 'M46 12H26l-6 4 6 4h20', brass: 'M28 12l-8 4 8 4z' },
  bore: { steel: 'M6 4h30v7H6zM6 21h30v7H6z', line: 'M46 17H20v-5', brass: 'M18 11h5v3h-5z' },
  edge: { steel: 'M4 8h30l6 6v12H4z', brass: 'M34 8l6 6V8z' },
  knurl: { steel: 'M6 9h36v14H6z', line: 'M8 9l10 14M16 9l10 14M24 9l10 14M32 9l10 14M16 9L6 23M24 9L14 23M32 9L22 23M40 9L30 23' },
  tool: { steel: 'M20 10h24v10H24l-8-6z', line: 'M4 4v24', brass: 'M16 14l6-4v6z' },
  insert: { steel: 'M24 4l14 12-14 12L10 16z', line: 'M24 13a3 3 0 1 0 .1 0' },
  chip: { line: 'M8 24c4-14 10-14 10-6s-8 4-4-2 16-12 16-2-8 6-6 0 12-10 16-2' },
  chatter: { steel: 'M4 10h40v10H4z', line: 'M6 22c3 6 6-2 9 2s6-2 9 2 6-2 9 2 6-2 9 2' },
  thread: { steel: 'M4 11h6l3-4 3 4 3-4 3 4 3-4 3 4 3-4 3 4h10v10H34l-3 4-3-4-3 4-3-4-3 4-3-4-3 4-3-4H4z', line: 'M0 16h48' },
  fit: { steel: 'M8 6h12v14H8z', line: 'M4 22h40', brass: 'M28 12h12v14H28z' },
  limits: { line: 'M6 8h36M6 24h36M24 4v24', brass: 'M18 12h12v8H18z' },
  runout: { steel: 'M6 10h28v12H6z', line: 'M0 16h48M40 10a6 6 0 1 0 .1 0M40 16l3-4', brass: 'M6 8h28v2H6z' },
  taper: { steel: 'M4 6l40 5v10L4 26z', line: 'M0 16h48' },
  micrometer: { line: 'M6 4h6v18c0 4 18 4 18 0V12h14v8H30', brass: 'M12 10h18v6H12z' },
  caliper: { steel: 'M4 6h40v5H4z', line: 'M8 11v14l4-4V11M24 11v10l-4 4V11', brass: 'M12 16h8v6h-8z' },
  indicator: { steel: 'M20 3a11 11 0 1 0 .1 0z', line: 'M20 14l5-6M20 25v5M4 30h40', brass: 'M18 28h4v3h-4z' },
  plug: { steel: 'M4 6h16v20H4z', line: 'M20 12h24v8H20M4 12h16M4 20h16' },
  shoulder: { steel: 'M4 5h18v22H4zM22 11h22v10H22z', line: 'M0 16h48', brass: 'M22 11q0-4 4 0z' },
  circle: { line: 'M24 3a13 13 0 1 0 .1 0M24 6a2 2 0 1 0 .1 0M35 16a2 2 0 1 0 .1 0M13 16a2 2 0 1 0 .1 0M24 26a2 2 0 1 0 .1 0' },
  keyway: { steel: 'M24 4a12 12 0 1 0 .1 0z', brass: 'M20 3h8v5h-8z' },
  heat: { steel: 'M6 18h36v8H6z', line: 'M14 15c-3-4 3-6 0-11M24 15c-3-4 3-6 0-11M34 15c-3-4 3-6 0-11' },
  surface: { line: 'M4 22l4-6 4 6 4-6 4 6 4-6 4 6 4-6 4 6 4-6 4 6M4 27h40' },
  zero: { steel: 'M4 8h30v16H4z', line: 'M34 2v28', brass: 'M32 1h4v4h-4z' },
};

// prettier-ignore
const shownBy: Readonly<Record<string, string>> = {
  lathe: 'apron, bed, gap bed, swing, tailstock, headstock', slide: 'carriage, compound slide, cross slide, quill, tool post, readout, preset, pass, approach, feed, stop',
  dial: 'dial, division, backlash', gears: 'change wheels', screw: 'half-nuts, leadscrew, thread dial', spindle: 'spindle, spindle nose, spindle speed, surface speed',
  chuck: 'chuck, chucking, four-jaw, grip, jaws, pads, setup, slip, soft jaws, split bush, squeeze, collet, dialling in', centre: 'between centres, centre, centre hole, centre drill, dog, set over',
  steady: 'cat head, follow rest, steady', plate: 'faceplate, arbor', bar: 'stick-out, bar stock, spring, free-cutting, annealed, skin, like cuts, blank',
  turn: 'turning, roughing, finishing, depth of cut, allowance, spring cut', face: 'facing, pip, touching off', groove: 'grooving, undercut, plunge', part: 'parting, kerf', drill: 'drilling, pecking, pilot, counterbore, countersink',
  bore: 'boring, boring bar, bore, reaming, honing, lapping', edge: 'breaking an edge, chamfer, burr, lead', knurl: 'knurling', tool: 'clearance, rake, form tool, high speed steel, overhang, lead angle, built-up edge, rub, least chip, tool life',
  insert: 'carbide, insert, nose radius, chip breaker', chip: 'chips, coolant', chatter: 'chatter, work hardening', thread: 'chasing, single point, tapping, die, infeed, major diameter, minor diameter, pitch, pitch diameter, run-out of a thread, starts, thread, TPI, left-hand thread, wires',
  fit: 'fit, interference, press fit, shrink fit, sliding fit', limits: 'basic size, limits, tolerance, h6, go and no-go, resolution, calibration', runout: 'concentric, runout, TIR, lobes', taper: 'taper, Morse taper, blue',
  micrometer: 'micrometer', caliper: 'caliper, gauge blocks', indicator: 'indicator', plug: 'plug gauge, bore gauge, telescoping gauge', shoulder: 'fillet, shoulder', circle: 'bolt circle', keyway: 'keyway', heat: 'hardening, tempering',
  surface: 'finish, crests, emery, score', zero: 'zero',
};

const pictureOf = new Map(Object.entries(shownBy).flatMap(([picture, words]) => words.split(', ').map((word) => [word, picture] as const)));

/** Whether a word has its small picture: each has. */
export const isPictured = (word: string): boolean => pictures[pictureOf.get(word) ?? ''] !== undefined;

/** The small picture of a word of the trade. */
export function WordPicture({ word }: { readonly word: string }) {
  const drawn = pictures[pictureOf.get(word) ?? ''];
  if (!drawn) return null;
  return (
    <svg className="word-picture" width={48} height={32} viewBox="0 0 48 32" aria-hidden>
      {drawn.steel !== undefined && <path d={drawn.steel} fill="var(--steel)" stroke="var(--ink)" strokeWidth={1} />}
      {drawn.line !== undefined && <path d={drawn.line} fill="none" stroke="var(--ink)" strokeWidth={1.3} strokeLinejoin="round" />}
      {drawn.brass !== undefined && <path d={drawn.brass} fill="var(--brass)" />}
    </svg>
  );
}
