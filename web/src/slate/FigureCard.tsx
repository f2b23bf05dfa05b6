import { type Figure, type Formula, type Units, write, writeWithUnit } from '@obra/core';
import type { RefObject } from 'react';
import { Overlay, Popover } from 'react-bootstrap';

interface Props {
  readonly id: string;
  readonly target: RefObject<HTMLElement | null>;
  readonly figure: Figure;
  readonly formula: Formula | undefined;
  readonly units: Units;
  readonly onHide: () => void;
}

/** What a number is made of: its formula, the values put in and the source. */
export function FigureCard({ id, target, figure, formula, units, onHide }: Props) {
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
                const [is, words] = formula?.inputs[name] ?? (['ratio', name] as const);
                const one = (v: number) => writeWithUnit({ is, value: v, ...(is === 'length' || is === 'diameter' ? { step: 0.001 } : {}) }, units);
                return (
                  <tr key={name}>
                    <td>{words}</td>
                    <td className="fig">
                      {typeof value === 'number'
                        ? one(value)
                        : typeof value === 'string'
                          ? value
                          : value.map((v) => write({ is, value: v }, units).text).join(' ')}
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
