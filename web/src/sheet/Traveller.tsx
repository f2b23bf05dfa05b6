import './sheet.css';
import type { Job, Shop } from '@obra/core/document';
import type { Part } from '@obra/core/drawing';
import { dayOf } from '../shell/dates';
import { type Step, verbs } from '@obra/core/operations';
import type { Route } from '@obra/core/planner';
import { type Units, write, writeMinutes, writeSentence, writeWithUnit } from '@obra/core/quantity';
import type { Setup } from '@obra/core/settings';
import { Stamp } from '../small';
import { LengthChart } from './LengthChart';

interface Props {
  readonly job: Job;
  readonly route: Route;
  readonly part: Part;
  readonly shop: Shop;
  readonly units: Units;
}

/** The sheet that goes with the piece: every operation with room for a tick and a reading, its cautions, the lengths of each setup. For paper only. */
export function Traveller({ job, route, part, shop, units }: Props) {
  const nameOf = (id: string) => [...shop.holdings, ...shop.tools, ...shop.gauges, ...shop.bars].find((x) => x.id === id)?.name ?? id;
  const title = job.drawing.title;
  return (
    <div className="printonly traveller">
      <h1>{job.name}</h1>
      <p>
        {[
          title['number'] && `drawing ${title['number']}`,
          title['issue'] && `issue ${title['issue']}`,
          job.customer,
          job.wanted !== undefined && `wanted ${dayOf(job.wanted)}`,
        ]
          .filter(Boolean)
          .join(', ')}
      </p>
      <p>
        {job.pieces} {job.pieces === 1 ? 'piece' : 'pieces'} of {nameOf(route.bar.id)}, {writeWithUnit(route.bar.cut, units)} each;{' '}
        {writeSentence(route.differs, units)}; about {writeMinutes(route.cost.minutes.value)} a piece. Untoleranced: {job.drawing.untoleranced.text}.
      </p>
      <p>
        <strong>Local codes, the machine’s manual and licensed or supervised practice come first.</strong> Glasses on; chuck key out; nothing loose
        near what turns; all travel wound through by hand before power.
      </p>
      {route.setups.map((setup, i) => (
        <SetupOnPaper
          key={setup.id}
          setup={setup}
          number={i + 1}
          first={route.setups.slice(0, i).reduce((sum, s) => sum + s.steps.length, 0)}
          pieces={job.pieces}
          part={part}
          units={units}
          nameOf={nameOf}
        />
      ))}
      <LengthChart route={route} part={part} units={units} paper />
      <p className="signed">Made by ____________________ Date ____________ Inspected by ____________________ Date ____________</p>
    </div>
  );
}

function SetupOnPaper({
  setup,
  number,
  first,
  pieces,
  part,
  units,
  nameOf,
}: {
  readonly setup: Setup;
  readonly number: number;
  readonly first: number;
  readonly pieces: number;
  readonly part: Part;
  readonly units: Units;
  readonly nameOf: (id: string) => string;
}) {
  const zero = setup.end === 'left' ? 'B' : 'A';
  const cautions = [...new Set(setup.steps.flatMap((s) => s.cautions))];
  const numberOf = (figure: Step['figures'][string] | undefined, unit: string) => (figure ? `${write(figure, units).text} ${unit}` : '');
  return (
    <section>
      <h2>
        Setup {number}: end {zero} out, zero face {zero}
      </h2>
      <p>
        {nameOf(setup.holding)}
        {setup.support.map((s) => `, ${nameOf(s.item)}`).join('')}; {writeWithUnit(setup.grip, units)} gripped, {writeWithUnit(setup.stickOut, units)}{' '}
        out; runs true within {writeWithUnit(setup.runout, units)} TIR
      </p>
      <table className="paper">
        <thead>
          <tr>
            <th>no.</th>
            <th>stock after</th>
            <th>operation</th>
            <th>with</th>
            <th>speed, feed, depth</th>
            <th>reading</th>
            <th>done</th>
          </tr>
        </thead>
        <tbody>
          {setup.steps.map((step, i) => {
            const { speed, surface, feed, depth, passes } = step.figures;
            return (
              <tr key={step.id}>
                <td>{first + i + 1}</td>
                <td className="stamp">
                  <Stamp region={step.after} removed={step.removes} part={part} turned={setup.end === 'left'} />
                </td>
                <td>
                  <strong>{verbs[step.verb]}</strong> {writeSentence(step.says, units)}
                </td>
                <td>{[step.tool, step.gauge].flatMap((id) => (id === undefined ? [] : [nameOf(id)])).join('; ')}</td>
                <td>
                  {surface && <span className="surface">{writeWithUnit(surface, units)}</span>}
                  {[
                    numberOf(speed, 'rpm'),
                    feed?.formula === 'feedByHand' ? 'feed by hand' : numberOf(feed, units === 'mm' ? 'mm/rev' : 'in/rev'),
                    // a thread is cut by listed settings, each once; its depth is that of the last
                    step.verb === 'thread' && step.series
                      ? ''
                      : depth
                        ? `${passes && passes.value > 1 ? `${String(passes.value)} × ` : ''}${writeWithUnit(depth, units)} deep`
                        : '',
                  ]
                    .filter((t) => t !== '')
                    .map((t) => (
                      <span key={t} className="number">
                        {t}
                      </span>
                    ))}
                  {step.series && (
                    <div>
                      {writeSentence(step.series.says, units)}{' '}
                      <span className="passes">{step.series.figures.map((f) => write(f, units).text).join(' · ')}</span>
                    </div>
                  )}
                </td>
                <td className="blank">
                  {step.gauge !== undefined &&
                    blanksOf(step, part).flatMap((number) =>
                      Array.from({ length: Math.min(pieces, 4) }, (_, p) => (
                        <span key={`${number} ${String(p)}`}>
                          {pieces > 1 && number !== '' ? `${String(p + 1)}/` : ''}
                          {number === '' ? '' : `${number} =`} {pieces > 1 ? '____' : '______'}
                        </span>
                      )),
                    )}
                </td>
                <td className="blank">☐</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {setup.lengths.length > 0 && (
        <p>
          Lengths from face {zero}:{' '}
          {setup.lengths
            .map((l) => {
              const step = setup.steps.find((s) => s.id === l.step);
              const band = l.min && l.max ? ` (${write(l.min, units).text} to ${write(l.max, units).text})` : '';
              const blade = l.withBlade ? `, blade touched on the face ${write(l.withBlade, units).text}` : '';
              return `${step ? verbs[step.verb].toLowerCase() : ''} ${write(l.set, units).text}${band}${blade}`;
            })
            .join('; ')}
          .
        </p>
      )}
      {cautions.length > 0 && <p className="cautions">△ {cautions.join(' △ ')}</p>}
    </section>
  );
}

/** Numbers of the sizes that a step is measured for: what is written in is typed back by them. */
function blanksOf(step: Step, part: Part): readonly string[] {
  const numbers = part.characteristics.filter((c) => step.does.includes(c.id)).map((c) => String(c.balloon));
  return numbers.length > 0 ? numbers.slice(0, 3) : [''];
}
