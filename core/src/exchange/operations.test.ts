/* The operation sheet taken out as a table. */
import Papa from 'papaparse';
import { plan } from '../planner';
import { demoJob, demoShop } from '../planner/demo.fixture';
import { writeOperations } from './operations';

it('has a line for every step, in order, each number as the sheet shows it', () => {
  const shop = demoShop();
  const [route] = plan(demoJob('sheave-axle'), shop).routes;
  if (!route) throw new Error('no route');
  const text = writeOperations(route, shop, 'mm');
  expect(text.endsWith('\r\n')).toBe(true);
  const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
  const steps = route.setups.flatMap((s) => s.steps);
  expect(data).toHaveLength(steps.length);
  expect(data.map((d) => d['step'])).toEqual(steps.map((_, i) => String(i + 1)));
  const rough = data.find((d) => d['operation'] === 'Rough-turn');
  expect(rough).toMatchObject({ setup: '1', end: 'A', holding: 'collet chuck 3-26' });
  expect(Number(rough?.['rev/min'])).toBeGreaterThan(100);
  expect(Number(rough?.['minutes'])).toBeGreaterThan(0);
});
