import Papa from 'papaparse';
import type { Shop } from '../document';
import { verbs } from '../operations';
import type { Route } from '../planner';
import { type Units, writePlain, writeSentence } from '../quantity';

const HEAD = [
  'setup',
  'end',
  'holding',
  'support',
  'step',
  'operation',
  'what',
  'tool',
  'gauge',
  'rev/min',
  'feed',
  'depth',
  'passes',
  'minutes',
  'cautions',
] as const;

/**
 * The operation sheet as CSV: a line a step, numbers in the units of the page; commas, CRLF, quoted where needed.
 * @example writeOperations(plan({ ...blankJob('pin', 'mm'), drawing: { ...blankDrawing(), ...readLine('20 x 30', 'mm').value } }, midShop()).routes[0], midShop(), 'mm').split('\r\n').length > 5 // true
 */
export function writeOperations(route: Route, shop: Shop, units: Units): string {
  const nameOf = (id: string | undefined) => [...shop.holdings, ...shop.tools, ...shop.gauges].find((i) => i.id === id)?.name ?? id ?? '';
  let n = 0;
  const data = route.setups.flatMap((setup, i) =>
    setup.steps.map((step) => {
      n++;
      const { speed, feed, depth, passes, minutes } = step.figures;
      return [
        i + 1,
        setup.end === 'left' ? 'B' : 'A',
        nameOf(setup.holding),
        setup.support.map((s) => nameOf(s.item)).join(' + '),
        n,
        verbs[step.verb],
        writeSentence(step.says, units),
        nameOf(step.tool),
        nameOf(step.gauge),
        ...[speed, feed, depth, passes].map((f) => (f ? writePlain(f, units).text : '')),
        minutes ? minutes.value.toFixed(1) : '',
        step.cautions.join(' '),
      ].map((v) => (typeof v === 'string' && /^[=@]|^[+-](?![\d.])/.test(v) ? `'${v}` : v));
    }),
  );
  return `${Papa.unparse({ fields: [...HEAD], data })}\r\n`;
}
