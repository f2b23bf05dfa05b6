import './handbook.css';
import { calculatorNamed, formulaOf, type FromShop } from '@obra/core/handbook';
import { useEffect, useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useParams, useSearchParams } from 'react-router';
import { Head } from '../../shell/Head';
import { useKeys } from '../../shell/keys';
import { useUnits } from '../../shell/units';
import { useTitle } from '../../shell/useTitle';
import { useHandbookMarks } from '../../data/handbook';
import { useShop } from '../../data/shopSession';
import { FormulaBook } from '../../slate';
import { CalculatorPage } from './CalculatorPage';
import { Contents } from './Contents';
import { cellOf } from '../../data/cellOfJob';
import { unitsSwap } from '../../words/keys';

/** Every calculator, on its own: contents, and one at its own address. */
export function Handbook() {
  const { id } = useParams();
  const [search] = useSearchParams();
  const { units, swap } = useUnits('mm');
  const { shop } = useShop();
  const marks = useHandbookMarks();
  const calculator = id === undefined ? undefined : calculatorNamed(id);
  useTitle(calculator?.title ?? 'Handbook');
  useKeys('everywhere', { u: { says: unitsSwap, act: swap } });
  const machine = shop?.machines[0];
  const fromShop = useMemo(
    (): FromShop =>
      machine
        ? {
            ...(Array.isArray(machine.speeds) && machine.speeds.length > 0 && { speeds: machine.speeds }),
            ...(machine.gears.length > 1 && { gears: machine.gears }),
            levers: machine.box.map((lever) => `${lever.text} ${lever.units}`),
            leadscrew: `${machine.leadscrew.text} ${machine.leadscrew.units}`,
          }
        : {},
    [machine],
  );
  const opened = marks.opened;
  const known = calculator?.id;
  useEffect(() => {
    if (known !== undefined) opened(known);
    // once for each calculator that is opened; `opened` is made anew at every render
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [known]);
  return (
    <FormulaBook value={formulaOf}>
      <div className="page">
        <Head>
          <Button variant="link" onClick={swap} aria-label={`units: ${units === 'mm' ? 'mm' : 'inch'}`}>
            {units === 'mm' ? 'mm' : 'inch'}
          </Button>
        </Head>
        {id === undefined ? (
          <main className="scroll">
            <h1>Handbook</h1>
            <Contents marks={marks} wide />
          </main>
        ) : (
          <div className="work handbook">
            <aside className="contents" aria-label="Contents">
              <Contents marks={marks} here={id} />
            </aside>
            {calculator && (shop !== undefined || !needsShop(calculator.id)) ? (
              <CalculatorPage
                key={calculator.id}
                calculator={calculator}
                shop={fromShop}
                units={units}
                pinned={marks.pinned.includes(calculator.id)}
                onPin={() => marks.pin(calculator.id)}
                cell={cellOf(search)}
              />
            ) : calculator ? (
              <p className="scroll quiet">Opening…</p>
            ) : (
              <main className="scroll">
                <h1>No such page in the Handbook</h1>
                <p>
                  <Link to="/handbook">All of it</Link>
                </p>
              </main>
            )}
          </div>
        )}
      </div>
    </FormulaBook>
  );
}

/** Those that start from the lathe wait for it, so that nothing jumps. */
const needsShop = (id: string) => ['change-gears', 'speeds', 'lathe-speeds', 'lathe-threads'].includes(id);
