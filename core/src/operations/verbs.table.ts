/** The closed table of what a step can be, in the order of an ordinary job, with its words on the sheet. */
export const verbs = {
  load: 'Chuck',
  face: 'Face',
  'centre-drill': 'Centre drill',
  'pull-out': 'Pull out',
  support: 'Bring the centre up',
  withdraw: 'Withdraw the centre',
  pilot: 'Pilot drill',
  drill: 'Drill',
  'rough-turn': 'Rough-turn',
  cool: 'Let it cool',
  index: 'Fresh edge',
  'finish-turn': 'Finish-turn',
  polish: 'Emery to size',
  bore: 'Bore',
  ream: 'Ream',
  tap: 'Tap',
  neck: 'Neck',
  taper: 'Turn the taper',
  form: 'Form',
  groove: 'Groove',
  knurl: 'Knurl',
  chamfer: 'Chamfer',
  undercut: 'Undercut',
  thread: 'Thread',
  die: 'Thread with die',
  check: 'Check before release',
  'part-off': 'Part off',
  'saw-off': 'Saw off',
  'turn-round': 'Turn round',
  away: 'Beside the lathe',
  harden: 'Harden',
  temper: 'Temper',
  grind: 'Grind',
  surface: 'Treat the surface',
  join: 'Join',
  own: 'Own step',
} as const;

export type Verb = keyof typeof verbs;

/** What is done away from the lathe, in its order: cut, hardened, tempered, ground, plated or blacked, joined. */
export const besideLathe: readonly Verb[] = ['away', 'harden', 'temper', 'grind', 'surface', 'join'];

/** What cuts a thread. */
export const threads: ReadonlySet<Verb> = new Set<Verb>(['thread', 'die', 'tap']);
