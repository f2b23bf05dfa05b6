import type { Drawing, Section } from '../document';
import type { Finding } from '../finding';
import { alike, atMost, diameter, exceeds, fallsShort, length, ROUNDING, say, tidy, writeExact } from '../quantity';
import { practice } from '../shop';
import { type DrawnThread, threadUndercut } from '../standards';
import { rimOf } from './chain';
import { type ListName, pathOf } from './faces';
import { parseLengthCell } from './parseSize';
import { threadOf } from './rows';
import type { Edge, Feature } from './types';

/** Lead chamfer, undercut at a shoulder and length of full thread of every threaded row: what the cells leave open is assumed. */
export function finishThreads(drawing: Drawing, features: readonly Feature[], findings: Finding[]): readonly Feature[] {
  return features.map((feature) => {
    const thread = threadOf(feature);
    const list: ListName = feature.side === 'outside' ? 'outside' : feature.side === 'right' ? 'boreRight' : 'boreLeft';
    const row = drawing[list].find((r) => r.id === feature.id);
    if (!thread || !row) return feature;
    // how sure a table is concerns the Handbook; here only what makes a thread rare
    if (thread.remark?.some((part) => typeof part === 'string' && /special|listed|limits/.test(part)))
      findings.push({
        code: 'thread-special',
        about: `${row.id}.thread`,
        severity: 'note',
        says: thread.remark,
        why: say`taps, dies and gauges for it may be hard to find`,
        mends: [],
      });
    const rows = features.filter((f) => f.side === feature.side);
    const at = rows.indexOf(feature);
    // a neighbour that is not understood is none: nothing is assumed of it
    const beside = (other: Feature | undefined, z: number, end: 'near' | 'far') => (other && alike(other[end], z, ROUNDING) ? other : undefined);
    const [before, after] = [beside(rows[at - 1], feature.near, 'far'), beside(rows[at + 1], feature.far, 'near')];
    const blocks = (other: Feature | undefined, end: 'nearDiameter' | 'farDiameter') =>
      other !== undefined &&
      (thread.internal ? fallsShort(other[end].nominal, thread.root) : exceeds(other[end].nominal, feature.nearDiameter.nominal));
    const atFar = blocks(after, 'nearDiameter') || (thread.internal && after === undefined && feature.through !== true);
    const atNear = blocks(before, 'farDiameter');
    // a ball that the hole opens has its own slope at the mouth
    const first = thread.internal
      ? at === 0 && (feature.side === 'outside' || !rimOf(features, feature.side))
      : feature.near === 0 && feature.nearDiameter.nominal > 0;
    // the usual lead: to just below the root outside, to just over the major diameter inside
    const lead = thread.internal ? Math.ceil(5 * (thread.root - thread.crest) + 1) / 10 : Math.ceil(6.5 * thread.pitch) / 10;
    const leading: Edge | undefined = first && feature.edgeNear.kind === 'none' ? { kind: 'chamfer', along: lead, degrees: 45 } : undefined;
    // a thread that ends the part is begun from that end
    const endsHere = !thread.internal && rows.at(-1) === feature && before !== undefined && !atFar && feature.edgeFar.kind === 'none';
    const edgeFar: Edge = endsHere ? { kind: 'chamfer', along: lead, degrees: 45 } : feature.edgeFar;
    const usable = usableOf(row, list, thread, edgeFar, Math.abs(feature.near - feature.far), atFar || atNear, findings);
    const relief = threadUndercut(thread.pitch);
    const short = findings.some((f) => f.code === 'thread-longer-than-row' && f.about === `${row.id}.thread`);
    if (!thread.internal && relief && !short && ((atFar && !relieved(edgeFar)) || (atNear && !atFar && !relieved(feature.edgeNear)))) {
      const under = tidy(feature.nearDiameter.nominal - relief.under);
      const hole = holeUnder(features, atFar ? feature.far : feature.near);
      findings.push({
        code: 'thread-without-relief',
        about: `${row.id}.${atFar ? 'far' : 'near'}`,
        severity: 'note',
        says: say`${feature.thread ?? ''} runs out before its shoulder: full thread over ${length(usable, 0.1)} of ${length(Math.abs(feature.near - feature.far), 0.1)}`,
        why:
          hole > 0
            ? say`no undercut is drawn, so none is cut; one by DIN 76 would let a mate screw home, and leave a wall of ${length(tidy((under - hole) / 2), 0.1)} under it`
            : say`no undercut is drawn, so none is cut; one by DIN 76 would let a mate screw home, and leave ${diameter(under, 0.1)} under it`,
        mends:
          Math.abs(feature.near - feature.far) - relief.overall < Math.max(2 * thread.pitch, (row.usable?.text.trim() ?? '') === '' ? 0 : usable)
            ? []
            : [
                {
                  says: say`undercut it, DIN 76`,
                  to: 'job',
                  edits: [{ op: 'put', at: `${pathOf(list, row.id)}/${atFar ? 'far' : 'near'}`, value: { text: 'DIN 76', units: row.size.units } }],
                },
              ],
      });
    }
    return {
      ...feature,
      edgeFar,
      edgeNear: leading ?? feature.edgeNear,
      ...(leading && { chamferNear: lead }),
      ...(endsHere && { chamferFar: lead }),
      usable,
      ...((row.usable?.text.trim() ?? '') !== '' && { usableAsked: true as const }),
    };
  });
}

/** How wide the holes of the part are at a place, mm. */
const holeUnder = (features: readonly Feature[], z: number): number =>
  features
    .filter((f) => f.side !== 'outside' && Math.min(f.near, f.far) <= z && Math.max(f.near, f.far) >= z)
    .reduce((most, f) => Math.max(most, f.nearDiameter.nominal, f.farDiameter.nominal), 0);

const relieved = (edge: Edge) => edge.kind === 'threadUndercut' || edge.kind === 'shoulderUndercut';

/** Full thread wanted, mm: the usable cell, else the row less its run-out or undercut. */
function usableOf(row: Section, list: ListName, thread: DrawnThread, far: Edge, long: number, blocked: boolean, findings: Finding[]): number {
  const { pitch } = thread;
  const relief = far.kind === 'threadUndercut' ? (threadUndercut(pitch, far.form)?.overall ?? 3.5 * pitch) : undefined;
  const runOut = !blocked ? 0 : (relief ?? (list === 'outside' ? practice.runsOut : 3) * pitch);
  const most = tidy(Math.max(0, long - runOut));
  const read = row.usable && row.usable.text.trim() !== '' ? parseLengthCell(row.usable.text, row.usable.units) : undefined;
  const wanted = read?.ok ? read.value.nominal : most;
  if (atMost(wanted, long - (blocked ? pitch : 0)) && most >= pitch) return wanted;
  const needed = tidy(Math.max(wanted, 3 * pitch) + runOut);
  const at = pathOf(list, row.id);
  findings.push({
    code: 'thread-longer-than-row',
    about: `${row.id}.thread`,
    severity: 'stop',
    says: say`${length(wanted)} of full thread and its ${relief === undefined ? 'run-out' : 'undercut'} of ${length(runOut)} do not fit in a row ${length(long)} long`,
    why: say`the tool needs room to run out before the shoulder`,
    mends: [
      {
        says: say`make the row ${length(needed)} long`,
        to: 'job',
        edits: [{ op: 'put', at: `${at}/length/text`, value: writeExact(needed, row.length.units) }],
      },
      ...(most >= 2 * pitch
        ? [
            {
              says: say`ask for ${length(most)} of full thread`,
              to: 'job' as const,
              edits: [{ op: 'put' as const, at: `${at}/usable`, value: { text: writeExact(most, row.length.units), units: row.length.units } }],
            },
          ]
        : []),
    ],
  });
  return wanted;
}
