import { speedFor } from '../../cutting';
import { inward, letterOf } from '../../drawing';
import { diameter, figure, length, say, tidy } from '../../quantity';
import { mmOf, practice, sizeOf } from '../../shop';
import { centreCut, centreFor } from '../../standards';
import { centred } from '../../stock';
import { chosenData, reason } from '../facts';
import { addStep, needTool, type Operation, operation, stepId, warn } from '../outcome';
import { openAtFace } from '../open';

/** Centre drills an end for a support or before a drill. */
export const centreDrill = (face: number, widest: number, why: 'support' | 'drill'): Operation =>
  operation((draft) => {
    const { facts, at } = draft;
    // a hole that is there already needs no start
    if (why === 'drill' && openAtFace(at, face, inward(at.end)) > 0) return;
    const id = stepId(at, 'centre-drill', at.end);
    const tool = needTool(draft, id, 'centreDrill', say`centre drill`);
    // what carries the work goes by its size; what starts a drill is no wider than the hole
    const hole = facts.part.features.find((f) => f.side === at.end);
    const usual = centreFor(widest);
    const size = tool ? sizeOf(tool, usual.pilot) : usual.pilot;
    // what is to carry sits on a cone, not on the edge of a pilot: a drill larger than the usual one goes in as far as that wants
    const wanted =
      why === 'drill' ? Math.min(usual.mouth, hole?.nearDiameter.nominal ?? usual.mouth) : Math.max(usual.mouth, practice.coneOfPilot * size);
    const centre = centreCut(size, wanted, mmOf(tool?.shank) || undefined);
    const speed = tool && chosenData(facts, id, 'speed', speedFor(at.place, tool, 'centreDrill', size));
    if (why === 'support' && tool && (centre.mouth < 0.7 * usual.mouth || size > 0.45 * widest))
      warn(draft, {
        code: 'centre-size',
        about: id,
        severity: 'note',
        says:
          size > 0.45 * widest
            ? say`${tool.name} is large for a face of ${diameter(widest)}: its cone is ${diameter(centre.mouth)} at the most`
            : say`${tool.name} makes a cone of ${diameter(centre.most)} at the most; work of ${diameter(widest)} would have one of ${diameter(usual.mouth)}`,
        why: say`a small cone carries little: light cuts, or a larger centre drill (form A ${length(usual.pilot)})`,
        mends: [],
      });
    addStep(draft, {
      verb: 'centre-drill',
      about: at.end,
      tool,
      says: say`${letterOf(at.end)}, pilot ${length(size)}, cone to ${diameter(centre.mouth)}`,
      because: [
        why === 'support'
          ? reason('centre-then-support', say`the tailstock centre wants its seat`, at.end)
          : reason('drill-bore-ream', say`a drill starts true in a centre`, at.end),
      ],
      figures: {
        speed,
        feed: figure('feed', 'feedByHand', { asked: 0.05 }),
        depth: figure('length', 'centreDepth', {
          pilot: centre.pilot,
          mouth: centre.mouth,
          tip: tidy(centre.depth - (centre.mouth - centre.pilot) / 2 / Math.tan(Math.PI / 6)),
        }),
        minutes: figure('time', 'minutesByHand', { handling: practice.minutesCentreDrill }),
      },
      sweeps: centred(face, centre, at.end),
    });
  });
