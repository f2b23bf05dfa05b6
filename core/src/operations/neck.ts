import { speedFor } from '../cutting';
import type { Feature } from '../drawing';
import { alike, diameter, figure, length, say, type Sentence, tidy } from '../quantity';
import { mmOf, practice } from '../shop';
import { turned } from '../stock';
import { byHand, chosenData, type Facts, reason } from './facts';
import { addStep, needTool, type Operation, operation, stepId, warn } from './outcome';
import { cornerKept } from './spare';

/** What of the drawer turns towards the headstock, and what away from it. */
function bothWays({ shop }: Facts): Sentence {
  const turning = shop.tools.filter((t) => t.kind === 'turn');
  const [right, left] = (['right', 'left'] as const).map((hand) => turning.find((t) => t.hand === hand) ?? turning.find((t) => t.hand === 'neutral'));
  const towards = right ? say`${right.name} towards the headstock` : say`no right-hand tool is here: the blade towards the headstock`;
  return left
    ? [...towards, ...say`, ${left.name} away from it`]
    : [...towards, ...say`, the blade away from it, a little at a time: no left-hand tool is here`];
}

/** A row between two larger ones: plunged with the blade, side by side. */
export const cutNeck = (row: Feature, rows: readonly Feature[]): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    const id = stepId(at, 'neck', row.id);
    const tool = needTool(draft, id, 'part', say`parting blade`);
    const width = mmOf(tool?.width, 3);
    const long = row.near - row.far;
    if (long < width) {
      warn(draft, {
        code: 'blade-too-wide',
        about: id,
        severity: 'stop',
        says: say`the blade is ${length(width)} wide, the row between its shoulders only ${length(long)}`,
        why: say`a narrower blade is wanted`,
        mends: [],
      });
    }
    const around = Math.max(...rows.filter((f) => alike(f.near, row.far) || alike(f.far, row.near)).map((f) => f.nearDiameter.nominal));
    const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'part', around));
    // too wide to be plunged side by side: in at both shoulders, and turned between them
    const between = long > practice.neckTurnedFrom * width;
    const plunges = between
      ? figure('count', 'counted', { count: 2 })
      : figure('count', 'passes', { total: Math.max(long - width, 0.01), most: 0.8 * width });
    const deep = (around - row.nearDiameter.nominal) / 2;
    // of the two shoulders one is turned away from the headstock
    if (between && !facts.shop.tools.some((t) => t.kind === 'turn' && t.hand !== 'right'))
      draft.gets.push({
        what: say`left-hand turning tool`,
        how: 'buy',
        holdsUp: [id],
        instead: { says: say`the blade, moved along a little at a time`, costs: byHand(practice.minutesNeck) },
      });
    const limits = row.nearDiameter;
    addStep(draft, {
      verb: 'neck',
      about: row.id,
      does: [`${row.id}.diameter`],
      tool,
      says: say`${diameter(limits.nominal)} × ${length(long)} between shoulders`,
      because: [
        between
          ? reason(
              'edge-that-makes-it',
              say`too wide to plunge side by side: the blade in at both shoulders, then turned between them: ${bothWays(facts)}`,
              row.id,
            )
          : reason('tool-width', say`plunge side by side, then along the bottom: ${plunges.value} plunges of a ${length(width)} blade`, row.id),
      ],
      figures: {
        speed,
        feed: figure('feed', 'feedByHand', { asked: 0.05 }),
        passes: plunges,
        depth: figure('length', 'distance', { value: tidy((around - limits.nominal) / 2) }),
        to: figure('diameter', 'middle', { max: limits.max, min: limits.min }, { step: 0.001 }),
        minutes:
          between && speed
            ? figure('time', 'minutes', {
                passes: Math.max(1, Math.ceil(deep)),
                length: long,
                approach: 3,
                f: 0.1,
                n: speed.value,
                handling: practice.minutesNeck * (1 + plunges.value),
              })
            : byHand(practice.minutesNeck * (1 + plunges.value)),
      },
      sweeps: turned(row.near, row.far, (limits.max + limits.min) / 4),
      leaves: [...cornerKept(facts, row, 'right'), ...cornerKept(facts, row, 'left')],
    });
  });
