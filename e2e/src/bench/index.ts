/* npm run bench [-- room ...]: what the app costs in time and size, room by room. Aims stand beside; nothing fails here. */
import { readDrawing } from '@obra/core/drawing';
import { serve } from '../harness';
import { coldBesideBare } from './bare';
import { cutting } from './cutting';
import { drawing } from './drawing';
import { filmFrames } from './film';
import { holding } from './holding';
import { manyJobs } from './jobs';
import { kinds } from './kinds';
import { ladders } from './ladders';
import { lengthsSet } from './lengths';
import { outsideLathes } from './outside';
import { dragging, handbook, typing } from './page';
import { judge, plans, routes } from './planner';
import { compareMachine } from './report';
import { longShaft } from './shafts';
import { memoryOfRounds } from './rounds';
import { tenThousand } from './searched';
import { sizing } from './sizing';
import { standards } from './standards';

/** Measures of the page as it is served, one after the other. */
const served =
  (...measures: readonly ((url: string) => Promise<void>)[]) =>
  async (): Promise<void> => {
    const server = await serve({ demo: true });
    for (const measure of measures) await measure(server.url);
    await server.stop();
  };

const rooms: Readonly<Record<string, () => void | Promise<void>>> = {
  drawing,
  standards,
  holding,
  cutting,
  ladders,
  planner: async () => {
    await plans();
    routes();
    judge(Number(process.env['JUDGED'] ?? 500));
  },
  cold: served(coldBesideBare),
  page: served(handbook, typing, dragging, filmFrames),
  many: served(manyJobs, tenThousand),
  rounds: served(memoryOfRounds),
  sizing: () => {
    sizing(2000);
    outsideLathes(1000);
    lengthsSet(500);
    kinds(1000);
  },
};

const asked = process.argv.slice(2);
const unknown = asked.filter((room) => !rooms[room]);
if (unknown.length > 0) {
  console.error(`no room ${unknown.join(', ')}: ${Object.keys(rooms).join(', ')}`);
  process.exit(1);
}
const rows = longShaft();
await compareMachine(() => void readDrawing(rows.drawing));
for (const [name, measure] of Object.entries(rooms)) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  console.log(`\n${name}`);
  await measure();
}
