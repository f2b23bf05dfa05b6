import type { Verb } from './verbs.table';

/** What can hurt someone at a step. @source common practice */
const byVerb: Partial<Record<Verb, readonly string[]>> = {
  load: ['Chuck key out before starting.', 'Nothing loose near what turns; glasses on.'],
  'turn-round': ['Chuck key out before starting.'],
  'pull-out': ['Chuck key out before starting.'],
  drill: ['Stop the spindle to clear chips; a hook, not fingers.'],
  bore: ['No finger in a bore, least of all a tapering one; stop the spindle to measure.'],
  ream: ['No finger in the bore; stop the spindle to clear chips.'],
  tap: ['Spindle locked or turned by hand: a tap that binds breaks and cuts.'],
  knurl: ['Oil and feed by hand clear of the wheels; no rag near them.'],
  form: ['Radius work by both hands: toolpost clear of the jaws, checked by hand first.'],
  away: ['The machine’s own guard and manual come first; clamp the piece, never hold it by hand.'],
  die: ['Spindle by hand or slowest; hands clear of the die stock.'],
  polish: ['Emery in strips held by both ends, never wrapped round; hands clear, slow speed.'],
  'part-off': ['Stand aside of the piece; do not catch it by hand.'],
  'saw-off': ['Spindle stopped and locked; guard the ways.'],
  'rough-turn': ['Stop the spindle to clear chips; a hook, not fingers.'],
  'finish-turn': ['Stop the spindle to measure.'],
};

export const cautionsOf = (verb: Verb): readonly string[] => byVerb[verb] ?? [];
