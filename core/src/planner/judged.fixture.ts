import { env } from 'node:process';

/** How many of a long judged batch are tried: a share in the tests, all in the bench (`npm run bench` sets JUDGES). The seeds are the same. */
export const judged = (all: number, share = 4): number => (env['JUDGES'] === 'all' ? all : Math.max(3, Math.ceil(all / share)));
