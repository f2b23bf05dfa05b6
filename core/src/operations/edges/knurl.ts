import { practice } from '../../shop';
import { cutWindow } from '../cutWindow';
import { speedFor } from '../../cutting';
import { faceOf, type Feature, innerOf, longOf, type PartDetail } from '../../drawing';
import type { End } from '../../ref';
import { alike, diameter, figure, length, say, tidy } from '../../quantity';
import { combine, rectangle } from '../../stock';
import { byHand, chosenData, type Facts, reason } from '../facts';
import { addStep, type Draft, needTool, stepId } from '../outcome';

/** How far under its finished size a row is turned that is knurled from end to end, mm on diameter. @source knurl-blank, common practice */
export function knurlUnder(facts: Facts, row: Feature): number {
  const over = facts.part.details.find((d) => d.kind === 'knurl' && d.on === row.id && coversRow(d, row));
  return over ? tidy(row.nearDiameter.nominal - (over.diameter?.nominal ?? row.nearDiameter.nominal)) : 0;
}

/** How far from the face of an end a knurl ends, mm. */
const inTo = ({ part }: Facts, end: End, detail: PartDetail): number => Math.abs(innerOf(detail, end) - faceOf(part, end));

const coversRow = (d: PartDetail, row: Feature) => alike(Math.abs(d.near - d.far), longOf(row));

/** The blank of a knurl that is shorter than its row, and the knurl, which raises it to its size. */
export function knurl(draft: Draft, row: Feature, detail: PartDetail): void {
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
      minutes: practice.minutesKnurlBlank,
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
      coversRow(detail, row)
        ? reason(
            'groove-marks',
            say`a shoulder, else a pen line marks where its row ends: ${length(inTo(facts, at.end, detail), 0.1)} from the face; stop at it`,
            detail.id,
          )
        : reason(
            'groove-marks',
            say`stops in its row, ${length(inTo(facts, at.end, detail), 0.1)} from the face: a fine groove or a pen line marks where`,
            detail.id,
          ),
    ],
    figures: {
      speed: tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'knurl', 2 * surface)),
      force: figure(
        'force',
        'knurlForce',
        {
          yields: facts.material.yield ?? practice.knurlYield,
          width: practice.knurlWidth,
          depth: Math.max(0.05, (detail.pitch ?? 1) / 4),
          D: practice.knurlWheel,
          d: Math.max(1, 2 * surface),
        },
        { step: 50 },
      ),
      minutes: byHand(practice.minutesKnurl),
    },
    raises: combine('intersection', rectangle(detail.near, detail.far, blank - 0.01, surface), facts.finished),
  });
}
