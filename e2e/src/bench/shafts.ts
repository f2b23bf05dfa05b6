import { blankJob, type Job, parseJob, parseShop, type Section, type Shop } from '@obra/core/document';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../harness';

const demo = (name: string): unknown => JSON.parse(readFileSync(join(root, 'demo', `${name}.json`), 'utf8'));

/** The shop of the demo. */
export function demoShop(): Shop {
  const shop = parseShop(demo('shop'));
  if (!shop.ok) throw new Error('the demo shop does not parse');
  return shop.value;
}

/** A job of the demo by its name. */
export function demoJob(name: string): Job {
  const job = parseJob(demo(name));
  if (!job.ok) throw new Error(`${name} does not parse`);
  return job.value;
}

/** A shaft of 30 rows, up and down in steps, with fits, chamfers and a thread. */
export function longShaft(): Job {
  const job = blankJob('30 rows', 'mm');
  const outside = Array.from({ length: 30 }, (_, i): Section => {
    const d = i < 15 ? 10 + i : 38 - i;
    const size = i === 0 ? 'M10' : i % 4 === 1 ? `${String(d)} h7` : String(d);
    return {
      id: `r${String(i)}`,
      size: { text: size, units: 'mm' },
      length: { text: i === 0 ? '20' : '8', units: 'mm' },
      ...(i === 14 && { far: { text: '0.3', units: 'mm' } }),
    };
  });
  return { ...job, drawing: { ...job.drawing, outside } };
}

/** A shaft of so many features, its lengths a little different each time, so that nothing is remembered from one to the next. */
export function shaftOf(features: number, nth: number): Job {
  const job = blankJob(`${String(features)} features`, 'mm');
  const half = Math.floor(features / 2);
  const outside = Array.from({ length: features }, (_, i): Section => {
    const d = i < half ? 12 + i * (20 / half) : 34 - (i - half) * (20 / half);
    const size = i === 0 ? 'M12' : i % 4 === 1 ? `${d.toFixed(1)} h7` : d.toFixed(1);
    return {
      id: `r${String(i)}`,
      size: { text: size, units: 'mm' },
      length: { text: (i === 0 ? 20 : (240 + nth) / features / 1.3).toFixed(3), units: 'mm' },
    };
  });
  return { ...job, drawing: { ...job.drawing, outside } };
}
