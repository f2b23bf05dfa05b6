import type { Job } from '@obra/core/document';
import { readDrawing } from '@obra/core/drawing';
import { applyEdits, type Edit } from '@obra/core/finding';
import type { Units } from '@obra/core/quantity';
import { lazy, Suspense, useMemo } from 'react';
import { Button } from 'react-bootstrap';
import { ShopRefused } from '../../shell/ShopRefused';
import { BarPicture } from '../../bar';
import { useShop } from '../../data/shopSession';
import { Big, Checks, FigureNumber } from '../../slate';
import { usePlan } from '../../work/usePlan';
import { rowTexts } from './rowTexts';
import { sawOrPull } from '../../words/titles';
import { noRouteYet } from '../../words/keys';

// the sheet comes with the first plan
const OperationSheet = lazy(() => import('../../sheet').then((m) => ({ default: m.OperationSheet })));
const Assumptions = lazy(() => import('../../fields').then((m) => ({ default: m.Assumptions })));

interface Props {
  /** the last line that could be read, as a job */
  readonly line: Job;
  /** the line as it stands can be read: it is planned */
  readonly reads: boolean;
  readonly edits: readonly Edit[];
  readonly onEdits: (edits: readonly Edit[]) => void;
  readonly units: Units;
  readonly onKeep: () => void;
}

/** What a typed line becomes: drawn, planned, with its checks and assumptions. Loaded with the first line typed. */
export function Planned({ line, reads, edits, onEdits, units, onKeep }: Props) {
  const { shop, editShop } = useShop();
  const drawn = useMemo(() => applyEdits(line, edits), [line, edits]);
  const part = useMemo(() => readDrawing(drawn.drawing), [drawn]);
  const { plan, older } = usePlan('line', reads ? drawn : undefined, shop);
  const route = plan?.routes[0];
  const apply = (more: readonly Edit[], to: 'job' | 'shop') => {
    if (to === 'shop') editShop(more);
    else onEdits([...edits, ...more]);
  };
  const first = route?.setups[0]?.steps.find((s) => s.figures['speed']);
  const typed = useMemo(() => rowTexts(drawn), [drawn]);
  return (
    <>
      <ShopRefused />
      <BarPicture part={part} units={units} show="drawing" typed={typed} findings={part.findings} />
      <div className="work">
        <aside className={`slate ${older ? 'older' : ''}`} aria-label="Slate">
          {route ? (
            <>
              <h2>{sawOrPull}</h2>
              <Big figure={route.bar.cut} units={units}>
                of {shop?.bars.find((b) => b.id === route.bar.id)?.name}
              </Big>
              {first?.figures['speed'] && (
                <>
                  <h2>First cut</h2>
                  <Big figure={first.figures['speed']} units={units}>
                    {first.verb}
                  </Big>
                </>
              )}
              <div className="quiet">
                <FigureNumber figure={route.cost.minutes} units={units} withUnit />, {route.setups.length} setups
              </div>
              <hr />
            </>
          ) : (
            <h2>{noRouteYet}</h2>
          )}
          {plan && <Checks findings={plan.findings} units={units} apply={apply} dark />}
        </aside>
        <main className="sheet">
          {shop && (
            <>
              <div className="d-flex flex-wrap gap-3 mb-2 align-items-baseline">
                <span className="quiet">assumed:</span>
                <Suspense fallback={null}>
                  <Assumptions job={drawn} shop={shop} plan={plan} units={units} apply={apply} />
                </Suspense>
                <Button className="ms-auto" disabled={!reads} onClick={onKeep}>
                  keep as a job
                </Button>
              </div>
              {route && (
                <div className={older ? 'older' : ''}>
                  <Suspense fallback={null}>
                    <OperationSheet
                      route={route}
                      part={plan.part}
                      units={units}
                      nameOf={(id) => shop.holdings.find((h) => h.id === id)?.name ?? id}
                    />
                  </Suspense>
                </div>
              )}
            </>
          )}
        </main>
      </div>
    </>
  );
}
