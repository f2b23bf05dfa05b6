import { practice } from '../../shop';
import { beside } from './beside';
import { say } from '../../quantity';
import { type Facts, reason } from '../facts';
import { type Draft } from '../outcome';

/** Words of a mate that is put together for good. */
export const joins = (want: string): boolean => /shrink|press|adhesive|retain|glue/i.test(want);

/** Mates that are put together for good: pressed, shrunk or glued. */
export function join(draft: Draft, { id, piece, want }: Facts['job']['drawing']['mates'][number]): void {
  const asked = want.text.toLowerCase();
  const into = piece.trim() === '' ? 'its mate' : piece.trim();
  if (asked.includes('shrink'))
    beside(draft, 'join', id, {
      says: say`shrunk together with ${into}`,
      because: reason(
        'shrink',
        say`heat until the gap passes the interference and a hand’s margin; rehearse it: it falls together or sticks half way`,
        id,
      ),
      cautions: ['Hot parts: gloves, a stand to set them on, nothing that burns near by.'],
      hands: practice.handsShrink,
      waits: practice.shrinksFor,
    });
  else if (asked.includes('press'))
    beside(draft, 'join', id, {
      says: say`pressed together with ${into}`,
      because: reason('press', say`a lead-in chamfer, both measured at one temperature, oiled; a way to press it out again`, id),
      cautions: ['Press behind a guard: brittle rings fly.'],
      hands: practice.handsPress,
      waits: 0,
    });
  else if (/adhesive|retain|glue/.test(asked))
    beside(draft, 'join', id, {
      says: say`fixed in ${into} with retaining compound`,
      because: reason('adhesive', say`both clean and dry, turned as it goes in; not handled until it has cured; heat lets it go`, id),
      cautions: ['Gloves: retaining compounds sensitise the skin.'],
      hands: practice.handsGlue,
      waits: practice.curesFor,
    });
}
