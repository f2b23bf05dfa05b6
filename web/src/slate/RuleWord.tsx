import type { Reason } from '@obra/core/finding';
import type { Units } from '@obra/core/quantity';
import { lazy, Suspense, useState } from 'react';
import { Button } from 'react-bootstrap';
import { named } from './ruleName';

// what the rules say is loaded when the first is asked for
const Told = lazy(() => import('./RuleSaid').then((m) => ({ default: m.RuleSaid })));

/** Opens the rule of the trade that a reason comes from. */
export function RuleWord({ reason, units }: { readonly reason: Pick<Reason, 'rule' | 'says'>; readonly units: Units }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        variant="link"
        className="trade-word quiet"
        aria-expanded={open}
        aria-label={`rule: ${named(reason.rule)}`}
        onClick={() => setOpen(!open)}>
        rule
      </Button>
      {open && (
        <Suspense fallback={null}>
          <Told reason={reason} units={units} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
