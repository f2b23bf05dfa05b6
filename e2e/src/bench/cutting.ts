import { bestFeed, loadOf, roughAsked, roughFeeds, speedFor, usesOf } from '@obra/core/cutting';
import { materialOf } from '@obra/core/standards';
import { report } from './report';
import { demoShop } from './shafts';

/** Speed, feed, depth by every limit, load and edge of 60 roughing cuts, each a little different. */
export function cutting(): void {
  const shop = demoShop();
  const [machine] = shop.machines;
  const [tool] = shop.tools;
  if (!machine || !tool) throw new Error('the demo shop is empty');
  const place = {
    machine,
    material: materialOf('mild-steel'),
    mostSpeed: 2500,
    ratio: 4,
    centre: false,
    grip: { newtons: 18000, diameter: 40, loses: 2 / 3, mostSpeed: 2500, friction: 0.2 },
  };
  const took: number[] = [];
  for (let i = 0; i < 60; i++) {
    const from = performance.now();
    for (let n = 0; n < 60; n++) {
      const d = 20 + n / 3;
      const speed = speedFor(place, tool, 'turn', d).value;
      const asked = roughAsked(place, tool, d, speed, { compliance: 1e-4 * (1 + n / 20), at: 100, allowed: 0.16, of: 'work' });
      const { feed, most } = bestFeed(asked, roughFeeds(place, tool), 4);
      loadOf(place, tool, most, feed, d, speed);
      usesOf(asked, feed, most);
    }
    took.push(performance.now() - from);
  }
  report('cutting data of 60 cuts', took, 30);
}
