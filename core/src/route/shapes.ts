import { speedFor, type Work } from '../cutting';
import type { Tool } from '../document';
import { detailWords, type Edge, type Feature, type PartDetail } from '../drawing';
import { angle, diameter, type Figure, figure, length, say, type Sentence, tidy } from '../quantity';
import { mmOf, sizeOf } from '../shop';
import { centreCut } from '../standards';
import { combine, rectangle, type Region } from '../stock';
import { byHand, type Facts, data, reason } from './facts';
import { addStep, needTool, type At, stepId, type Draft, warn, type Operation, operation } from './outcome';
import type { End } from '../ref';
import { inward, mouthOf, longOf } from './ends';
import { taperWay } from './tapers';
import type { Verb } from './verbs.table';

/** What lies in a window of z and r and does not belong to the finished part. */
export function spareIn(facts: Facts, zFrom: number, zTo: number, rFrom: number, rTo: number): Region {
  const key = [zFrom, zTo, rFrom, rTo].join();
  const known = spare.get(facts.finished) ?? new Map<string, Region>();
  spare.set(facts.finished, known);
  const made = known.get(key) ?? combine('difference', rectangle(zFrom, zTo, rFrom, rTo), facts.finished);
  known.set(key, made);
  return made;
}

/** Windows of a finished part that were asked for before. */
const spare = new WeakMap<Region, Map<string, Region>>();

/** A step that cuts what is spare in a window with a tool of a kind. */
function cutWindow(
  draft: Draft,
  parts: {
    verb: Verb;
    about: string;
    method?: string;
    says: Sentence;
    why: ReturnType<typeof reason>;
    also?: readonly ReturnType<typeof reason>[];
    kind: Tool['kind'];
    work: Work;
    words: Sentence;
    at: number;
    minutes: number;
    sweeps: Region;
    /** which tools of the kind make it */
    made?: (tool: Tool) => boolean;
    figures?: Readonly<Record<string, Figure>>;
  },
): void {
  const { facts, at } = draft;
  const id = stepId(at, parts.verb, parts.about);
  const tool = needTool(draft, id, parts.kind, parts.words, parts.made);
  const speed = tool && data(facts, id, 'speed', speedFor(at.place, tool, parts.work, Math.max(1, parts.at)));
  const feed = figure('feed', 'feedByHand', { asked: 0.05 });
  addStep(draft, {
    verb: parts.verb,
    about: parts.about,
    method: parts.method,
    tool,
    says: parts.says,
    because: [parts.why, ...(parts.also ?? [])],
    figures: {
      speed,
      feed,
      ...(parts.kind === 'groove' &&
        tool && {
          force: figure(
            'force',
            'forceOfEdge',
            { kc: facts.material.kc, mc: facts.material.mc, b: mmOf(tool.width, 2), h: feed.value, factor: 1.1 },
            { step: 10 },
          ),
        }),
      ...parts.figures,
      minutes: byHand(parts.minutes),
    },
    sweeps: parts.sweeps,
  });
}

/** Tapers by the compound, arcs and balls by hand or form tool, after their envelope is roughed. */
export const shapeRow = (row: Feature): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const widest = Math.max(row.nearDiameter.nominal, row.farDiameter.nominal, row.across?.nominal ?? 0);
    const long = longOf(row);
    // its chamfers are cut by steps of their own
    const [first, last] = row.form === 'taper' ? [row.chamferNear ?? 0, row.chamferFar ?? 0] : [0, 0];
    const sweeps = spareIn(facts, row.near - first, row.far + last, -1, widest / 2 + 5);
    if (row.form === 'taper') {
      const { method, says, because, minutes, refused } = taperWay(facts, at, row);
      const [why, ...also] = because;
      if (refused)
        warn(draft, {
          code: 'method-not-possible',
          about: stepId(at, 'taper', row.id),
          severity: 'caution',
          says: say`this taper cannot be turned as chosen`,
          why: refused,
          mends: [],
        });
      cutWindow(draft, {
        verb: 'taper',
        about: row.id,
        method,
        says,
        why: why ?? reason('taper-on-centre', say`tool exactly at centre height`, row.id),
        also,
        kind: method === 'form' ? 'form' : 'turn',
        work: method === 'form' ? 'form' : 'turn',
        words: method === 'form' ? say`form tool for the taper` : say`turning tool`,
        at: widest,
        minutes,
        sweeps,
      });
      return;
    }
    cutWindow(draft, {
      verb: 'form',
      about: row.id,
      says: say`${row.form === 'ball' ? 'ball' : row.hollow === true ? 'hollow' : 'round'}, radius ${length(row.radius ?? 0)}`,
      why: reason('plunge-form', say`stepped off to the outline, then blended by form tool or both hands, to a template`, row.id),
      kind: 'form',
      work: 'form',
      words: say`radius form tool`,
      at: widest,
      minutes: 6 + long / 10,
      sweeps,
    });
  });

/** Radii, chamfers of other angles than 45 degrees and reliefs of a row, at the corners that this setup reaches. */
export const shapeEdges = (row: Feature): Operation =>
  operation((draft) => {
    const { facts } = draft;
    for (const end of ['near', 'far'] as const) {
      const edge = end === 'near' ? row.edgeNear : row.edgeFar;
      const z = end === 'near' ? row.near : row.far;
      const away = end === 'near' ? -1 : 1;
      const d = end === 'near' ? row.nearDiameter.nominal : row.farDiameter.nominal;
      const beyond = facts.part.features.find(
        (f) => f.id !== row.id && f.side === row.side && Math.abs((end === 'near' ? f.far : f.near) - z) < 1e-6,
      );
      const across = beyond && (end === 'near' ? beyond.farDiameter.nominal : beyond.nearDiameter.nominal);
      // against a larger neighbour it is the hollow of a corner
      const hollow = across !== undefined && across > d + 1e-6;
      const window = windowOf(edge, hollow);
      if (!window) continue;
      cutWindow(draft, {
        verb: edge.kind === 'shoulderUndercut' ? 'undercut' : 'form',
        about: `${row.id}.${end}`,
        says: window.says,
        why:
          edge.kind === 'shoulderUndercut'
            ? reason('relief-first', say`room for the mate’s corner and a grinding wheel (DIN 509, from memory)`, row.id)
            : reason('chamfer-before-severing', say`while it still runs true`, row.id),
        kind: edge.kind === 'shoulderUndercut' ? 'groove' : 'form',
        work: 'form',
        words: window.tool,
        at: d,
        minutes: 1,
        sweeps: spareIn(facts, z + away * window.along, z - away * window.beyond, d / 2 - window.into, d / 2 + window.up),
      });
    }
  });

interface Window {
  readonly along: number;
  readonly beyond: number;
  readonly into: number;
  readonly up: number;
  readonly says: Sentence;
  readonly tool: Sentence;
}

function windowOf(edge: Edge, hollow: boolean): Window | undefined {
  if (edge.kind === 'radius')
    return {
      along: edge.radius,
      beyond: hollow ? 0 : 0.2,
      into: hollow ? 0 : edge.radius,
      up: hollow ? edge.radius : 0.1,
      says: say`radius ${length(edge.radius)}`,
      tool: say`radius form tool ${length(edge.radius)}`,
    };
  if (edge.kind === 'chamfer' && edge.degrees !== 45) {
    const into = edge.along * Math.tan((edge.degrees * Math.PI) / 180);
    return {
      along: edge.along,
      beyond: 0.2,
      into,
      up: 0.1,
      says: say`${length(edge.along)} × ${angle(edge.degrees)}`,
      tool: say`chamfering tool ${angle(edge.degrees)}`,
    };
  }
  if (edge.kind !== 'shoulderUndercut') return undefined;
  const { width, depth, faceDepth, faceLength } = edge.undercut;
  return { along: width, beyond: faceDepth ?? 0, into: depth, up: faceLength ?? 0, says: say`relief ${edge.name}`, tool: say`undercutting tool` };
}

const isGroove = (kind: PartDetail['kind']) => kind === 'groove' || kind === 'ringGroove' || kind === 'faceGroove';

/** Grooves and knurls of the rows that this setup turned, and what is cut in its end face. */
export const detailsOf = (facts: Facts, at: At, rows: readonly Feature[]): readonly PartDetail[] =>
  facts.part.details.filter((d) => d.on === at.end || rows.some((r) => r.id === d.on));

export const detailStep = (rows: readonly Feature[], detail: PartDetail): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const row = rows.find((r) => r.id === detail.on);
    const surface = row ? row.nearDiameter.nominal / 2 : 0;
    const bottom = (detail.diameter?.nominal ?? 0) / 2;
    if (isGroove(detail.kind)) {
      const inside = row !== undefined && row.side !== 'outside';
      const face = detail.kind === 'faceGroove';
      const depth = detail.depth ?? 0;
      const into = inward(at.end);
      const window: readonly [number, number, number, number] = face
        ? [detail.near, detail.near + into * depth, bottom - (detail.width ?? 0), bottom]
        : inside
          ? [detail.near, detail.far, surface - 0.5, bottom]
          : [detail.near, detail.far, bottom, surface + 0.5];
      cutWindow(draft, {
        verb: 'groove',
        about: detail.id,
        says: detail.says,
        why: reason('tool-width', say`${detailWords[detail.kind]}: the blade’s edge touched on the face, then moved`, detail.id),
        kind: 'groove',
        work: 'part',
        words: say`grooving tool up to ${length(detail.width ?? 0)}`,
        at: 2 * Math.max(surface, bottom),
        minutes: 1.5,
        sweeps: spareIn(facts, ...window),
      });
    }
    if (detail.kind === 'knurl' && row) knurl(draft, row, detail);
  });

/** How far under its finished size a row is turned that is knurled from end to end, mm on diameter. @source knurl-blank, common practice */
export function knurlUnder(facts: Facts, row: Feature): number {
  const over = facts.part.details.find((d) => d.kind === 'knurl' && d.on === row.id && coversRow(d, row));
  return over ? tidy(row.nearDiameter.nominal - (over.diameter?.nominal ?? row.nearDiameter.nominal)) : 0;
}

const coversRow = (d: PartDetail, row: Feature) => Math.abs(Math.abs(d.near - d.far) - longOf(row)) < 1e-6;

/** A common knurling wheel, mm, half its width in at first; and a yield where none is known, N/mm2. @source knurl-blank, common practice */
const KNURL_WIDTH = 4;
const KNURL_WHEEL = 20;
const YIELDS = 200;

/** The blank of a knurl that is shorter than its row, and the knurl, which raises it to its size. */
function knurl(draft: Draft, row: Feature, detail: PartDetail): void {
  const { facts, at } = draft;
  const [surface, blank] = [row.nearDiameter.nominal / 2, (detail.diameter?.nominal ?? row.nearDiameter.nominal) / 2];
  if (!coversRow(detail, row))
    cutWindow(draft, {
      verb: 'neck',
      about: detail.id,
      says: say`${diameter(2 * blank)} × ${length(Math.abs(detail.near - detail.far))}, the blank of the knurl`,
      why: reason('knurl-blank', say`${length(2 * (surface - blank))} under on diameter: it grows to ${diameter(2 * surface)}`, detail.id),
      kind: 'turn',
      work: 'turn',
      words: say`turning tool`,
      at: 2 * surface,
      minutes: 1,
      sweeps: rectangle(detail.near, detail.far, blank, surface + 5),
    });
  const id = stepId(at, 'knurl', detail.id);
  const tool = needTool(draft, id, 'knurl', say`knurling wheels, pitch ${length(detail.pitch ?? 0)}`);
  addStep(draft, {
    verb: 'knurl',
    about: detail.id,
    tool,
    says: detail.says,
    because: [
      reason('knurl-blank', say`blank trimmed to a whole number of teeth; feed and oil never stopped midway`, detail.id),
      ...(coversRow(detail, row) ? [] : [reason('groove-marks', say`it stops within its row: a fine groove or a pen line marks where`, detail.id)]),
    ],
    figures: {
      speed: tool && data(facts, id, 'speed', speedFor(at.place, tool, 'knurl', 2 * surface)),
      force: figure(
        'force',
        'knurlForce',
        {
          yields: facts.material.yield ?? YIELDS,
          width: KNURL_WIDTH,
          depth: Math.max(0.05, (detail.pitch ?? 1) / 4),
          D: KNURL_WHEEL,
          d: Math.max(1, 2 * surface),
        },
        { step: 50 },
      ),
      minutes: byHand(3),
    },
    raises: combine('intersection', rectangle(detail.near, detail.far, blank - 0.01, surface), facts.finished),
  });
}

/** Centre holes that the drawing asks for in this end. */
export const drawnCentre = (face: number): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const centre = facts.part.details.find((d) => d.kind === 'centre' && d.on === at.end);
    if (!centre || facts.part.features.some((f) => f.side === at.end || f.through === true)) return;
    const depth = centre.depth ?? 0;
    const [pilot, mouth] = [centre.diameter?.nominal ?? 1, centre.width ?? 0];
    cutWindow(draft, {
      verb: 'centre-drill',
      about: centre.id,
      says: centre.says,
      why: reason('centre-allowed', say`the drawing asks for it`, centre.id),
      kind: 'centreDrill',
      work: 'centreDrill',
      words: say`centre drill ${length(centre.diameter?.nominal ?? 0)}`,
      at: centre.diameter?.nominal ?? 1,
      minutes: 0.8,
      // a centre is as large as it was drawn: another drill makes another
      made: (tool) =>
        Math.abs(sizeOf(tool) - pilot) <= 0.05 * pilot && centreCut(pilot, mouth, mmOf(tool.shank) || undefined).most >= mouth - 0.02 * mouth,
      figures: { depth: figure('length', 'distance', { value: depth }) },
      sweeps: spareIn(facts, face - inward(at.end) * 0.2, face + inward(at.end) * (depth + 0.1), -1, (centre.width ?? 0) / 2),
    });
  });

/** What finish-turning leaves at its inner corner: the metal of a radius there. */
export function cornerKept(feature: Feature, end: End): Region {
  const edge = end === 'right' ? feature.edgeFar : feature.edgeNear;
  if (edge.kind !== 'radius') return [];
  const inner = end === 'right' ? feature.far : feature.near;
  const r = feature.nearDiameter.nominal / 2;
  const box = rectangle(inner, inner - inward(end) * edge.radius, r + 1e-3, tidy(r + edge.radius));
  const mouth = mouthOf(feature, end);
  return mouth === inner ? [] : box;
}
