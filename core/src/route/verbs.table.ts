/** The closed table of what a step can be, in the order of an ordinary job, with its words on the sheet. */
export const verbs = {
  load: 'Chuck the bar',
  face: 'Face',
  'centre-drill': 'Centre drill',
  support: 'Bring the centre up',
  withdraw: 'Withdraw the centre',
  pilot: 'Pilot drill',
  drill: 'Drill',
  'rough-turn': 'Rough-turn',
  cool: 'Let it cool',
  'finish-turn': 'Finish-turn',
  neck: 'Neck',
  chamfer: 'Chamfer',
  undercut: 'Undercut',
  thread: 'Thread',
  die: 'Thread with die',
  check: 'Check before release',
  'part-off': 'Part off',
  'saw-off': 'Saw off',
  'turn-round': 'Turn round',
  own: 'Own step',
} as const;

export type Verb = keyof typeof verbs;
