/* npm run routes -- FILE: every route of the demo, of the trade's parts and of parts drawn by number, step by step, as text. Two of them compared show what a change of the planner changed. */
import { writeFileSync } from 'node:fs';
import { routeCases, routeSaid } from '../../core/src/planner/routes.fixture';

const text = `${routeCases.map((one) => routeSaid(one).whole).join('\n\n')}\n`;
const [, , file] = process.argv;
if (file === undefined) process.stdout.write(text);
else writeFileSync(file, text);
