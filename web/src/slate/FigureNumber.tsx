import { type Figure, type Formula, formulaNamed, type Units, write, writeWithUnit } from '@obra/core';
import { createContext, useContext, useId, useRef, useState } from 'react';
import { Overlay, Popover } from 'react-bootstrap';

/** Where a figure's formula is looked up; the Handbook has more of them. */
export const FormulaBook = createContext<(name: string) => Formula | undefined>(formulaNamed);

/** A number shown: pressed, it opens its formula, the values put in and the source. */
export function FigureNumber({
  figure,
  units,
  withUnit = false,
  className = '',
  text: given,
}: {
  readonly figure: Figure;
  readonly units: Units;
  readonly withUnit?: boolean;
  readonly className?: string;
  readonly text?: string;
}) {
  const [open, setOpen] = useState(false);
  const target = useRef<HTMLButtonElement>(null);
  const id = useId();
  const text = given ?? (withUnit ? writeWithUnit(figure, units) : write(figure, units).text.replace(/^Ø/, ''));
  const formula = useContext(FormulaBook)(figure.formula);
  return (
    <>
      <button
        type="button"
        ref={target}
        className={`figure ${className}`}
        aria-expanded={open}
        aria-describedby={open ? id : undefined}
        title="formula"
        onClick={(e) => {
          e.stopPropagation();
          setOpen(!open);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter' || e.key === ' ') e.stopPropagation();
        }}>
        {text}
      </button>
      {open && (
        <Overlay target={target} show placement="bottom" flip rootClose onHide={() => setOpen(false)}>
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
                    const one = (v: number) =>
                      writeWithUnit({ is, value: v, ...(is === 'length' || is === 'diameter' ? { step: 0.001 } : {}) }, units);
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
      )}
    </>
  );
}
