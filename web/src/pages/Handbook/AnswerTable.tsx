import type { Table } from '@obra/core/handbook';
import { type Units, writeSentence, writeWithUnit } from '@obra/core/quantity';
import { FigureNumber, Said } from '../../slate';
import { onlyWords } from './AnswerSlate';

/** The table of an answer; every number in it opens its formula. */
export function AnswerTable({ table, units, source }: { readonly table: Table; readonly units: Units; readonly source: string }) {
  return (
    <table className="joblist answers">
      <thead>
        <tr>
          {table.head.map((h, k) => (
            <th key={k} scope="col" data-said>
              {typeof h === 'string' ? h : writeSentence(h, units)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {table.rows.map((row, i) => (
          <tr key={i}>
            {row.map((cell, k) => (
              <td key={k} className={'is' in cell ? 'fig' : ''} data-said={!('is' in cell) && onlyWords(cell) ? '' : undefined}>
                {'is' in cell ? (
                  <FigureNumber figure={cell} units={units} text={writeWithUnit(cell, units).replace('Ø', '')} />
                ) : (
                  <Said sentence={cell} units={units} from={source} />
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
