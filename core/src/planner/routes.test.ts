import { join } from 'node:path';
import { expectKept, kept } from '../kept.fixture';
import { routeCases, routeSaid } from './routes.fixture';

it('the routes of the demo, of the trade’s parts and of parts drawn by number are those that were read and kept', () => {
  const answers = routeCases.map((one) => {
    const { gist, whole } = routeSaid(one);
    return [one[0], kept(gist, whole)] as const;
  });
  expectKept(join(__dirname, 'routes.kept.json'), Object.fromEntries(answers));
});
