import type { Table } from '@obra/core/handbook';
import { type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { FigureNumber } from '../../slate';

/** The table of an answer; every number in it opens its formula. */
export function AnswerTable({ table, units }: { readonly table: Table; readonly units: Units }) {
  return (
    <table className="joblist answers">
      <thead>
        <tr>
          {table.head.map((h) => (
            <th key={h} scope="col">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, i) => (
          <tr key={i}>
            {row.map((cell, k) => (
              <td key={k} className={'is' in cell ? 'fig' : ''}>
                {'is' in cell ? (
                  <FigureNumber figure={cell} units={units} text={writeWithUnit(cell, units).replace('Ø', '')} />
                ) : (
                  writeSentence(cell, units)
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
