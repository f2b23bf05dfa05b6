import { type Figure, type Formula, formulaNamed, type Quantity, type QuantityKind, type Units, write, writeWithUnit } from '@obra/core/quantity';
import type { RefObject } from 'react';
import { Overlay, Popover } from 'react-bootstrap';

interface Props {
  readonly id: string;
  readonly target: RefObject<HTMLElement | null>;
  readonly figure: Figure;
  readonly book: ((name: string) => Formula | undefined) | undefined;
  readonly units: Units;
  readonly onHide: () => void;
}

/** A value with as many digits as the number above needs to be worked out again from it: its own, six that mean something at the most. */
export function asPutIn(is: QuantityKind, value: number, units: Units): Quantity {
  const inch = units === 'in' && (is === 'length' || is === 'diameter' || is === 'feed');
  const shown = inch ? value / 25.4 : value;
  const finest = 10 ** Math.min(-3, Math.floor(Math.log10(Math.max(Math.abs(shown), 1e-9))) - 5);
  const whole = (step: number) => Math.abs(shown - Math.round(shown / step) * step) < 1e-9 * Math.max(1, Math.abs(shown));
  const least =
    is === 'length' || is === 'diameter' ? (inch ? [1e-4, 1e-5, 1e-6] : [1e-3, 1e-4, 1e-5, 1e-6]) : [1, 0.1, 0.01, 1e-3, 1e-4, 1e-5, 1e-6];
  const step = Math.max(finest, least.find(whole) ?? finest);
  return { is, value, step: inch ? step * 10 : step };
}

/** What a number is made of: its formula, the values put in and the source. */
export function FigureCard({ id, target, figure, book = formulaNamed, units, onHide }: Props) {
  const formula = book(figure.formula);
  return (
    <Overlay target={target} show placement="bottom" flip rootClose onHide={onHide}>
      <Popover id={id} role="dialog" aria-label="formula">
        <Popover.Body>
          <div>
            <strong>{writeWithUnit(figure, units)}</strong>
            {figure.deviation !== undefined && ` ± ${writeWithUnit({ is: 'length', value: 2 * figure.deviation, step: 0.001 }, units)} (95 %)`}
          </div>
          <div className="fig">{formula?.text ?? figure.formula}</div>
          <table className="plain">
            <tbody>
              {Object.entries(figure.of).map(([name, value]) => {
                const [kind, words] = formula?.inputs[name] ?? (['ratio', name] as const);
                // what stands as it is is of the kind that it is
                const is = figure.formula === 'asItStands' ? figure.is : kind;
                const one = (v: number) => writeWithUnit(asPutIn(is, v, units), units);
                return (
                  <tr key={name}>
                    <td>{words}</td>
                    <td className="fig">
                      {typeof value === 'number'
                        ? one(value)
                        : typeof value === 'string'
                          ? value
                          : value.map((v) => write(asPutIn(is, v, units), units).text).join(' ')}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <div className="quiet">{figure.source ?? formula?.source}</div>
        </Popover.Body>
      </Popover>
    </Overlay>
  );
}
